package ebauche.app.web;

import ebauche.core.plan.BuildPlan;
import java.util.Set;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.stereotype.Component;
import org.thymeleaf.context.ITemplateContext;
import org.thymeleaf.context.IWebContext;
import org.thymeleaf.context.WebContext;
import org.thymeleaf.dialect.AbstractProcessorDialect;
import org.thymeleaf.engine.AttributeName;
import org.thymeleaf.model.IProcessableElementTag;
import org.thymeleaf.processor.IProcessor;
import org.thymeleaf.processor.element.IElementTagStructureHandler;
import org.thymeleaf.spring6.SpringTemplateEngine;
import org.thymeleaf.standard.StandardDialect;
import org.thymeleaf.standard.expression.StandardExpressions;
import org.thymeleaf.standard.processor.AbstractStandardExpressionAttributeTagProcessor;
import org.thymeleaf.templatemode.TemplateMode;

/**
 * {@code kept:with="${plan}" part="body/frame :: written" by="${bodyPage}"} in a template: a fragment that follows from a body's plan
 * alone, such as its frame or the cards of its depths, written once and kept with the plan; {@code by} is what else it hangs on beside
 * unit and language. A part with a form has no place in it, since each form carries a token of its own.
 */
@Component
class KeptPart extends AbstractProcessorDialect {
    private static final String PREFIX = "kept";

    /** Before all that would be done inside it. */
    private static final int PRECEDENCE = 150;

    private final ObjectProvider<SpringTemplateEngine> engine;

    KeptPart(ObjectProvider<SpringTemplateEngine> engine) {
        super("Parts of pages kept with a plan", PREFIX, StandardDialect.PROCESSOR_PRECEDENCE);
        this.engine = engine;
    }

    @Override
    public Set<IProcessor> getProcessors(String prefix) {
        return Set.of(new With(prefix));
    }

    private record Part(String written, Object by, Figures fig) {}

    private final class With extends AbstractStandardExpressionAttributeTagProcessor {
        With(String prefix) {
            super(TemplateMode.HTML, prefix, "with", PRECEDENCE, true);
        }

        @Override
        protected void doProcess(
                ITemplateContext context,
                IProcessableElementTag tag,
                AttributeName name,
                String typed,
                Object plan,
                IElementTagStructureHandler place) {
            String part = tag.getAttributeValue("part");
            Object by = StandardExpressions.getExpressionParser(context.getConfiguration())
                    .parseExpression(context, tag.getAttributeValue("by"))
                    .execute(context);
            Figures fig = (Figures) context.getVariable("fig");
            place.replaceWith(
                    Kept.with((BuildPlan) plan).get(new Part(part, by, fig), () -> written(context, part)), false);
        }

        /** It sees what the page's controller gave the page, and nothing of the page's own. */
        private String written(ITemplateContext context, String part) {
            String[] said = part.split(" :: ");
            return engine.getObject()
                    .process(
                            said[0],
                            Set.of(said[1]),
                            new WebContext(((IWebContext) context).getExchange(), context.getLocale()));
        }
    }
}

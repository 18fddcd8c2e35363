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
import org.thymeleaf.processor.element.AbstractAttributeTagProcessor;
import org.thymeleaf.processor.element.IElementTagStructureHandler;
import org.thymeleaf.spring6.SpringTemplateEngine;
import org.thymeleaf.standard.StandardDialect;
import org.thymeleaf.standard.expression.StandardExpressions;
import org.thymeleaf.standard.processor.AbstractStandardExpressionAttributeTagProcessor;
import org.thymeleaf.templatemode.TemplateMode;

/**
 * {@code kept:with="${plan}" part="body/frame :: written" by="${bodyPage}"} in a template: a fragment that follows from a body's plan
 * alone, such as its frame or the cards of its depths, written once and kept with the plan; {@code by} is what else it hangs on beside
 * unit and language. {@code kept:always="web/standing :: places" by="${where}"} is a fragment that follows from nothing else. A part with a
 * form has no place in either, since each form carries a token of its own.
 */
@Component
class KeptPart extends AbstractProcessorDialect {
    private static final String PREFIX = "kept";

    /** Before all that would be done inside it. */
    private static final int PRECEDENCE = 150;

    private final ObjectProvider<SpringTemplateEngine> engine;

    KeptPart(ObjectProvider<SpringTemplateEngine> engine) {
        super("Parts of pages kept", PREFIX, StandardDialect.PROCESSOR_PRECEDENCE);
        this.engine = engine;
    }

    @Override
    public Set<IProcessor> getProcessors(String prefix) {
        return Set.of(new With(prefix), new Always(prefix));
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
            place.replaceWith(kept(Kept.with((BuildPlan) plan), tag.getAttributeValue("part"), context, tag), false);
        }
    }

    private final class Always extends AbstractAttributeTagProcessor {
        Always(String prefix) {
            super(TemplateMode.HTML, prefix, null, false, "always", true, PRECEDENCE, true);
        }

        @Override
        protected void doProcess(
                ITemplateContext context,
                IProcessableElementTag tag,
                AttributeName name,
                String part,
                IElementTagStructureHandler place) {
            place.replaceWith(kept(Kept.always(), part, context, tag), false);
        }
    }

    private String kept(Kept with, String part, ITemplateContext context, IProcessableElementTag tag) {
        Object by = StandardExpressions.getExpressionParser(context.getConfiguration())
                .parseExpression(context, tag.getAttributeValue("by"))
                .execute(context);
        return with.get(new Part(part, by, (Figures) context.getVariable("fig")), () -> written(context, part, by));
    }

    /** It sees what the page's controller gave the page, and of the page's own only what it hangs on, as {@code by}. */
    private String written(ITemplateContext context, String part, Object by) {
        String[] said = part.split(" :: ");
        WebContext seen = new WebContext(((IWebContext) context).getExchange(), context.getLocale());
        seen.setVariable("by", by);
        return engine.getObject().process(said[0], Set.of(said[1]), seen);
    }
}

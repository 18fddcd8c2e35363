package ebauche.app.web;

import java.util.Set;
import org.springframework.stereotype.Component;
import org.thymeleaf.context.ITemplateContext;
import org.thymeleaf.dialect.AbstractProcessorDialect;
import org.thymeleaf.engine.AttributeName;
import org.thymeleaf.model.IProcessableElementTag;
import org.thymeleaf.processor.IProcessor;
import org.thymeleaf.processor.element.IElementTagStructureHandler;
import org.thymeleaf.standard.StandardDialect;
import org.thymeleaf.standard.processor.AbstractStandardExpressionAttributeTagProcessor;
import org.thymeleaf.templatemode.TemplateMode;
import org.unbescape.html.HtmlEscape;

/** {@code fig:text} in a template: text as {@code th:text} sets it, its fractions set as fractions. */
@Component
class LengthText extends AbstractProcessorDialect {
    private static final String PREFIX = "fig";

    /** That of {@code th:text}. */
    private static final int PRECEDENCE = 1300;

    LengthText() {
        super("Lengths in text", PREFIX, StandardDialect.PROCESSOR_PRECEDENCE);
    }

    @Override
    public Set<IProcessor> getProcessors(String prefix) {
        return Set.of(new Fractions(prefix));
    }

    private static final class Fractions extends AbstractStandardExpressionAttributeTagProcessor {
        Fractions(String prefix) {
            super(TemplateMode.HTML, prefix, "text", PRECEDENCE, true);
        }

        @Override
        protected void doProcess(
                ITemplateContext context,
                IProcessableElementTag tag,
                AttributeName name,
                String typed,
                Object text,
                IElementTagStructureHandler body) {
            StringBuilder html = new StringBuilder();
            for (Figures.TextPart part : Figures.parts(text == null ? "" : text.toString())) {
                String escaped = HtmlEscape.escapeHtml4Xml(part.text());
                html.append(part.fraction() ? "<span class=\"frac\">" + escaped + "</span>" : escaped);
            }
            body.setBody(html, false);
        }
    }
}

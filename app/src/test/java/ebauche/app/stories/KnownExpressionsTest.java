package ebauche.app.stories;

import static org.assertj.core.api.Assertions.assertThat;

import ebauche.app.testing.WithVisitor;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.thymeleaf.cache.ExpressionCacheKey;
import org.thymeleaf.cache.ICacheManager;
import org.thymeleaf.cache.TemplateCacheKey;
import org.thymeleaf.spring6.SpringTemplateEngine;

/** What is read of the templates is read once: no page drives out what another one needs. */
class KnownExpressionsTest extends WithVisitor {
    /** As many as the engine would keep by itself ({@code StandardCacheManager}). */
    private static final int USUAL = 500;

    @Autowired
    private SpringTemplateEngine engine;

    private void askForAll() {
        for (String view : Views.ALL) {
            assertThat(me.get(Views.at(shop, view)).statusCode()).as(view).isEqualTo(200);
        }
    }

    @Test
    void every_expression_and_every_template_is_still_known_when_all_pages_were_asked_for() {
        ICacheManager kept = engine.getCacheManager();
        askForAll();
        Set<ExpressionCacheKey> expressions =
                Set.copyOf(kept.getExpressionCache().keySet());
        Set<TemplateCacheKey> templates = Set.copyOf(kept.getTemplateCache().keySet());
        assertThat(expressions).hasSizeGreaterThan(2 * USUAL);
        askForAll();
        assertThat(kept.getExpressionCache().keySet()).containsAll(expressions);
        assertThat(kept.getTemplateCache().keySet()).containsAll(templates);
    }
}

package ebauche.app.web;

import org.springframework.beans.factory.config.BeanPostProcessor;
import org.springframework.stereotype.Component;
import org.thymeleaf.cache.StandardCacheManager;
import org.thymeleaf.spring6.SpringTemplateEngine;

/**
 * Every template and every expression in it is read and compiled once. There are some four thousand, all known when the app is built;
 * the engine's own caches hold five hundred, so that each page drove out what the next one needed.
 */
@Component
class KnownExpressions implements BeanPostProcessor {
    /** Well above what there is, and still an end, should an expression ever be put together from what was entered. */
    private static final int MOST = 20_000;

    @Override
    public Object postProcessBeforeInitialization(Object bean, String name) {
        if (bean instanceof SpringTemplateEngine engine) {
            StandardCacheManager kept = new StandardCacheManager();
            kept.setTemplateCacheMaxSize(MOST);
            kept.setTemplateCacheUseSoftReferences(false);
            kept.setExpressionCacheMaxSize(MOST);
            kept.setExpressionCacheUseSoftReferences(false);
            engine.setCacheManager(kept);
        }
        return bean;
    }
}

package ebauche.app.body;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.springframework.context.annotation.Configuration;
import org.springframework.web.servlet.HandlerInterceptor;
import org.springframework.web.servlet.ModelAndView;
import org.springframework.web.servlet.config.annotation.InterceptorRegistry;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;

/** Puts the frame round every page that shows a body. */
@Configuration
class BodyFrame implements WebMvcConfigurer, HandlerInterceptor {
    private static final Pattern ADDRESS = Pattern.compile("/bodies/[^/]+(/.*)?");

    @Override
    public void addInterceptors(InterceptorRegistry registry) {
        registry.addInterceptor(this).addPathPatterns("/bodies/**");
    }

    @Override
    public void postHandle(
            HttpServletRequest request, HttpServletResponse response, Object handler, ModelAndView shown) {
        if (shown != null && shown.getModel().get("current") instanceof Bodies.Current current) {
            Matcher address = ADDRESS.matcher(request.getRequestURI());
            String under = address.matches() && address.group(1) != null ? address.group(1) : "";
            shown.addObject("here", current.here());
            shown.addObject("bodyPage", BodyPage.of(current, BodyView.at(under)));
        }
    }
}

package ebauche.app.account;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.time.Duration;
import java.util.Locale;
import java.util.concurrent.atomic.AtomicInteger;
import org.springframework.context.event.EventListener;
import org.springframework.security.authentication.event.AbstractAuthenticationFailureEvent;
import org.springframework.security.authentication.event.AuthenticationSuccessEvent;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;

/** After some wrong passwords for one name, further tries for it wait; a right one clears the count. */
@Component
public class SignInThrottle extends OncePerRequestFilter {
    static final int TRIES = 5;
    private static final Duration WAIT = Duration.ofMinutes(1);

    private final Cache<String, AtomicInteger> failures =
            Caffeine.newBuilder().expireAfterAccess(WAIT).maximumSize(10_000).build();

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        boolean signingIn =
                request.getMethod().equals("POST") && request.getServletPath().equals("/sign-in");
        if (signingIn && tries(request.getParameter("username")) >= TRIES) {
            response.sendRedirect(request.getContextPath() + "/sign-in?wait");
            return;
        }
        chain.doFilter(request, response);
    }

    private int tries(String name) {
        AtomicInteger count = name == null ? null : failures.getIfPresent(key(name));
        return count == null ? 0 : count.get();
    }

    private static String key(String name) {
        return name.strip().toLowerCase(Locale.ROOT);
    }

    @EventListener
    void failed(AbstractAuthenticationFailureEvent event) {
        failures.get(key(event.getAuthentication().getName()), n -> new AtomicInteger())
                .incrementAndGet();
    }

    @EventListener
    void succeeded(AuthenticationSuccessEvent event) {
        failures.invalidate(key(event.getAuthentication().getName()));
    }
}

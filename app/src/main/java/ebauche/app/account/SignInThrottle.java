package ebauche.app.account;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.Cookie;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.time.Duration;
import java.util.Optional;
import org.springframework.http.HttpHeaders;
import org.springframework.http.ResponseCookie;
import org.springframework.security.core.Authentication;
import org.springframework.security.web.authentication.SavedRequestAwareAuthenticationSuccessHandler;
import org.springframework.web.filter.OncePerRequestFilter;
import org.springframework.web.util.WebUtils;

/** Holds tries at the door against the {@link SignInStore}, and lets a device keep that its maker was let in on it. */
class SignInThrottle extends OncePerRequestFilter {
    private static final String LET = SignInThrottle.class.getName() + ".let";
    private static final String DEVICE = "device";
    private static final Duration KEPT = Duration.ofDays(365);

    private final SignInStore brake;

    SignInThrottle(SignInStore brake) {
        this.brake = brake;
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        String name = request.getParameter("username");
        if (name != null
                && request.getMethod().equals("POST")
                && request.getServletPath().equals("/sign-in")) {
            Optional<SignInStore.Try> let = brake.count(name, request.getRemoteAddr(), device(request));
            if (let.isEmpty()) {
                response.sendRedirect(request.getContextPath() + "/sign-in?wait");
                return;
            }
            request.setAttribute(LET, let.get());
        }
        chain.doFilter(request, response);
    }

    private static String device(HttpServletRequest request) {
        Cookie kept = WebUtils.getCookie(request, DEVICE);
        return kept == null ? "" : kept.getValue();
    }

    /** What happens when the password was right. */
    SavedRequestAwareAuthenticationSuccessHandler letIn() {
        SavedRequestAwareAuthenticationSuccessHandler in = new SavedRequestAwareAuthenticationSuccessHandler() {
            @Override
            public void onAuthenticationSuccess(
                    HttpServletRequest request, HttpServletResponse response, Authentication who)
                    throws ServletException, IOException {
                if (request.getAttribute(LET) instanceof SignInStore.Try let) {
                    brake.succeeded(let);
                }
                if (who.getPrincipal() instanceof Maker maker && !brake.knows(maker, device(request))) {
                    keep(brake.meet(maker), request, response);
                }
                super.onAuthenticationSuccess(request, response, who);
            }
        };
        in.setDefaultTargetUrl("/");
        return in;
    }

    private static void keep(String device, HttpServletRequest request, HttpServletResponse response) {
        ResponseCookie cookie = ResponseCookie.from(DEVICE, device)
                .httpOnly(true)
                .secure(request.isSecure())
                .sameSite("Lax")
                .path(request.getContextPath() + "/sign-in")
                .maxAge(KEPT)
                .build();
        response.addHeader(HttpHeaders.SET_COOKIE, cookie.toString());
    }
}

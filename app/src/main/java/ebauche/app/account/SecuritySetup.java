package ebauche.app.account;

import ebauche.app.EbaucheProperties;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import org.springframework.boot.web.server.autoconfigure.ServerProperties;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.security.access.AccessDeniedException;
import org.springframework.security.config.Customizer;
import org.springframework.security.config.annotation.web.builders.HttpSecurity;
import org.springframework.security.core.Authentication;
import org.springframework.security.core.AuthenticationException;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.security.core.userdetails.UserDetailsService;
import org.springframework.security.core.userdetails.UsernameNotFoundException;
import org.springframework.security.crypto.bcrypt.BCryptPasswordEncoder;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.security.web.SecurityFilterChain;
import org.springframework.security.web.authentication.UsernamePasswordAuthenticationFilter;
import org.springframework.security.web.firewall.HttpFirewall;
import org.springframework.security.web.firewall.StrictHttpFirewall;
import org.springframework.security.web.header.writers.ReferrerPolicyHeaderWriter.ReferrerPolicy;

/** Who may see what: sign-in and the shipped files are open, all else belongs to a signed-in maker's shop. */
@Configuration
class SecuritySetup {
    /** Everything ships with the app; no inline script or style runs. */
    private static final String CONTENT =
            "default-src 'self'; script-src 'self'; style-src 'self'; img-src 'self' data:; "
                    + "object-src 'none'; base-uri 'none'; form-action 'self'; frame-ancestors 'none'";

    @Bean
    SecurityFilterChain chain(HttpSecurity http, SignInStore brake) throws Exception {
        SignInThrottle throttle = new SignInThrottle(brake);
        return http.authorizeHttpRequests(r -> r.requestMatchers(
                                "/sign-in",
                                "/new-shop",
                                "/join",
                                "/static/**",
                                "/webjars/**",
                                "/error",
                                "/favicon.ico",
                                "/worker.js",
                                "/manifest.webmanifest")
                        .permitAll()
                        .anyRequest()
                        .authenticated())
                .formLogin(f ->
                        f.loginPage("/sign-in").successHandler(throttle.letIn()).failureUrl("/sign-in?wrong"))
                .logout(l -> l.logoutUrl("/sign-out").logoutSuccessUrl("/sign-in?out"))
                .csrf(Customizer.withDefaults())
                .exceptionHandling(e -> e.accessDeniedHandler(SecuritySetup::denied)
                        .defaultAuthenticationEntryPointFor(SecuritySetup::wholePage, SecuritySetup::isFragment))
                .headers(h -> h.contentSecurityPolicy(c -> c.policyDirectives(CONTENT))
                        .referrerPolicy(r -> r.policy(ReferrerPolicy.SAME_ORIGIN)))
                .addFilterBefore(throttle, UsernamePasswordAuthenticationFilter.class)
                .build();
    }

    /** Names no other site's pages can borrow to read ours (a name pointed at this machine after its page was loaded). */
    @Bean
    HttpFirewall firewall(ServerProperties server, EbaucheProperties properties) {
        StrictHttpFirewall firewall = new StrictHttpFirewall();
        firewall.setAllowedHostnames(new ServedHosts(server.getAddress(), properties.hosts()));
        return firewall;
    }

    /** A form sent after its sign-in ran out goes to the sign-in page; what was typed at the bench is kept there. */
    private static void denied(HttpServletRequest request, HttpServletResponse response, AccessDeniedException why)
            throws IOException {
        Authentication who = SecurityContextHolder.getContext().getAuthentication();
        if (who == null || !(who.getPrincipal() instanceof Maker)) {
            if (isFragment(request)) {
                wholePage(request, response, null);
                return;
            }
            response.sendRedirect(request.getContextPath() + "/sign-in?expired");
        } else {
            response.sendError(HttpServletResponse.SC_FORBIDDEN);
        }
    }

    private static boolean isFragment(HttpServletRequest request) {
        return request.getHeader("HX-Request") != null;
    }

    /** A fragment that is asked for after the sign-in ran out sends the whole page to the door. */
    private static void wholePage(
            HttpServletRequest request, HttpServletResponse response, AuthenticationException why) {
        response.setStatus(HttpServletResponse.SC_UNAUTHORIZED);
        response.setHeader("HX-Redirect", request.getContextPath() + "/sign-in?expired");
    }

    @Bean
    PasswordEncoder passwords() {
        return new BCryptPasswordEncoder();
    }

    @Bean
    UserDetailsService makers(MakerStore store, EbaucheProperties properties) {
        return name -> store.find(name)
                .filter(m -> properties.demo() || !m.name().equals(Maker.DEMO))
                .orElseThrow(() -> new UsernameNotFoundException(name));
    }
}

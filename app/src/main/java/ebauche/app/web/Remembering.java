package ebauche.app.web;

import ebauche.core.memo.Memo;
import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;

/** Every request is answered during one memo: what one maker's edit reckons, the next finds known. */
@Component
class Remembering extends OncePerRequestFilter {
    private final Memo memo;

    Remembering(Memo memo) {
        this.memo = memo;
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        Runnable end = memo.begin();
        try {
            chain.doFilter(request, response);
        } finally {
            end.run();
        }
    }
}

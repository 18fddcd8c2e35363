package ebauche.app.web;

import jakarta.servlet.http.HttpServletResponse;
import org.springframework.http.HttpStatus;
import org.springframework.ui.Model;

/** Tells at the head of a page, shown once more, that somebody else was quicker: nothing was saved. */
public final class ConflictNotice {
    private ConflictNotice() {}

    /**
     * Answers a stale save.
     *
     * @param andNow what became of what was typed, and what to do
     */
    public static void tell(Stale stale, String andNow, Model model, HttpServletResponse response) {
        response.setStatus(HttpStatus.CONFLICT.value());
        String why = stale.getMessage();
        model.addAttribute("meanwhile", Character.toUpperCase(why.charAt(0)) + why.substring(1) + ". " + andNow);
    }
}

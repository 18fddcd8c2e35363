package ebauche.app.web;

import ebauche.app.account.Maker;
import ebauche.app.account.MakerStore;
import ebauche.core.measure.LengthUnit;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.ControllerAdvice;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.multipart.MaxUploadSizeExceededException;
import org.springframework.web.multipart.MultipartException;

/** What every page needs: who is signed in, and numbers in their unit. */
@ControllerAdvice
class EveryPage {
    private final MakerStore makers;

    EveryPage(MakerStore makers) {
        this.makers = makers;
    }

    /** A form that should carry a file and is none of that kind: its sender's fault. */
    @ExceptionHandler(MultipartException.class)
    void noFile(MultipartException e, HttpServletResponse response) throws IOException {
        response.sendError(
                e instanceof MaxUploadSizeExceededException
                        ? HttpServletResponse.SC_REQUEST_ENTITY_TOO_LARGE
                        : HttpServletResponse.SC_BAD_REQUEST);
    }

    @ModelAttribute("maker")
    Maker maker(@AuthenticationPrincipal Maker maker) {
        return maker;
    }

    /** Where this page can be read again; a form's answer cannot. */
    @ModelAttribute("back")
    String back(HttpServletRequest request) {
        if (!request.getMethod().equals("GET")) {
            return "/";
        }
        String query = request.getQueryString();
        return request.getRequestURI() + (query == null ? "" : "?" + query);
    }

    @ModelAttribute("fig")
    Figures figures(@AuthenticationPrincipal Maker maker) {
        return new Figures(maker == null ? LengthUnit.MILLIMETRE : makers.unit(maker));
    }
}

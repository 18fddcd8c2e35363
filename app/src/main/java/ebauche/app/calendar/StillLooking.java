package ebauche.app.calendar;

import java.io.Serial;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.ResponseStatus;

/** Something was asked of a timetable while the shop's bodies are looked at for the first time: in a moment it is there, and nothing was kept. */
@ResponseStatus(HttpStatus.SERVICE_UNAVAILABLE)
final class StillLooking extends RuntimeException {
    @Serial
    private static final long serialVersionUID = 1L;
}

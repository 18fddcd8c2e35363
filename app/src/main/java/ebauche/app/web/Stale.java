package ebauche.app.web;

import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.ResponseStatus;

/**
 * Somebody else was quicker: what was to be saved rests on a state that is no longer the newest. Nothing was saved. The
 * message says what they did, to begin a sentence.
 */
@ResponseStatus(HttpStatus.CONFLICT)
public final class Stale extends RuntimeException {
    private static final long serialVersionUID = 1L;

    public Stale(String message) {
        super(message);
    }
}

package ebauche.app.web;

import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.ResponseStatus;

/** Nothing by that address in this maker's shop; another shop's things answer the same. */
@ResponseStatus(HttpStatus.NOT_FOUND)
public final class NotHere extends RuntimeException {
    private static final long serialVersionUID = 1L;
}

package ebauche.core.takeon;

import java.util.Arrays;
import java.util.Optional;

/** Where a pickup stands between neck and bridge. */
public enum PickupPlace {
    NECK("neck"),
    MIDDLE("middle"),
    BRIDGE("bridge");

    private final String id;

    PickupPlace(String id) {
        this.id = id;
    }

    /** Of the pickup that stands there, in files and addresses. */
    public String id() {
        return id;
    }

    /** The one with that id. */
    public static Optional<PickupPlace> of(String id) {
        return Arrays.stream(values()).filter(p -> p.id.equals(id)).findFirst();
    }
}

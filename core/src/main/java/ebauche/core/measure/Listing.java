package ebauche.core.measure;

import java.util.List;

/** Several things said in one breath: {@code neck, bridge or cover}. */
public final class Listing {
    private Listing() {}

    public static String and(List<String> things) {
        return of(things, " and ");
    }

    public static String or(List<String> things) {
        return of(things, " or ");
    }

    private static String of(List<String> things, String last) {
        int n = things.size();
        return n < 2 ? String.join("", things) : String.join(", ", things.subList(0, n - 1)) + last + things.get(n - 1);
    }
}

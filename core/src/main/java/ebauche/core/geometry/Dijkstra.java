package ebauche.core.geometry;

/** One step of a search for the shortest way (Dijkstra, 1959). */
public final class Dijkstra {
    private Dijkstra() {}

    /**
     * The nearest place that is not settled yet.
     *
     * @param far how far each place is known to be; endless where nobody got to it
     * @return its number; below nought where none is left
     */
    public static int nearest(double[] far, boolean[] settled) {
        int best = -1;
        for (int i = 0; i < far.length; i++) {
            if (!settled[i] && !Double.isInfinite(far[i]) && (best < 0 || far[i] < far[best])) {
                best = i;
            }
        }
        return best;
    }
}

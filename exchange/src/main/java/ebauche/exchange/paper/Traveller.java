package ebauche.exchange.paper;

import java.util.List;

/**
 * A body's plan as it is pinned up over the bench: in words, its lengths written in the maker's unit.
 *
 * @param title the body's number and name
 * @param line of which revision it is, and when it was made
 * @param places what lies where
 */
public record Traveller(String title, String line, List<Place> places, List<Step> steps) {
    public Traveller {
        places = List.copyOf(places);
        steps = List.copyOf(steps);
    }

    /** What lies where: from the saddle line, and from the centre line. */
    public record Place(String what, String along, String across) {}

    /** What is read at a step, and what it should be. */
    public record Read(String what, String should) {}

    /**
     * One step.
     *
     * @param with tool, guide and feed
     * @param figure the one to set, empty where there is none
     * @param figureSays what it is
     * @param settings its passes or its lines, one each
     * @param looks what is looked at before it closes over
     * @param address that its square code opens
     */
    public record Step(
            int number,
            String title,
            boolean done,
            String face,
            String with,
            String figure,
            String figureSays,
            List<String> settings,
            List<Read> reads,
            List<String> looks,
            List<String> cautions,
            String address) {
        public Step {
            settings = List.copyOf(settings);
            reads = List.copyOf(reads);
            looks = List.copyOf(looks);
            cautions = List.copyOf(cautions);
        }

        /** Its square code as SVG path data. */
        public String code() {
            return SquareCode.of(address).path();
        }

        /** Squares along its code. */
        public int codeSize() {
            return SquareCode.of(address).size();
        }
    }
}

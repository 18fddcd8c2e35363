package ebauche.core.layout;

/**
 * One cut on a board, in the order of doing. Millimetres.
 *
 * @param kind across, along or through the thickness
 * @param board what is chalked on it
 * @param at where the blade's near side runs: from the near end, from the marked edge, or under face A
 * @param kerf what the blade takes beyond that
 * @param gives what comes off, such as {@code piece 2, 171.5 wide}
 */
public record Cut(Kind kind, String board, double at, double kerf, String gives) {
    public enum Kind {
        CROSS("cross-cut, from the near end"),
        RIP("rip, from the marked edge"),
        RESAW("resaw, under face A");

        private final String words;

        Kind(String words) {
            this.words = words;
        }

        public String words() {
            return words;
        }
    }
}

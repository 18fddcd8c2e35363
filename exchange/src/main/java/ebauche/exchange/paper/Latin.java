package ebauche.exchange.paper;

/** Text for a PDF's standard fonts, which know the letters of Latin-1 only. */
final class Latin {
    private static final String FANCY = "“”„‘’–—−×→…•\u2009\u202f";
    private static final String[] PLAIN = {"\"", "\"", "\"", "'", "'", "-", "-", "-", "x", "to", "...", "-", " ", " "};

    private Latin() {}

    /** The same as those fonts can write it: a letter that they lack is a question mark. */
    static String of(String text) {
        StringBuilder out = new StringBuilder();
        for (int i = 0; i < text.length(); i++) {
            char c = text.charAt(i);
            int fancy = FANCY.indexOf(c);
            if (fancy >= 0) {
                out.append(PLAIN[fancy]);
            } else {
                out.append((c >= 32 && c < 127) || (c >= 160 && c < 256) ? c : '?');
            }
        }
        return out.toString();
    }
}

package ebauche.core.crib;

/** What a template is made of, and what follows from it: common practice. */
public enum TemplateMaterial {
    MDF("MDF", "cuts and files cleanly; swells where it gets wet, and a bearing that stands still dents it"),
    HARDBOARD("hardboard", "tough and thin: a short bearing may run off it"),
    PLYWOOD("plywood", "light and stiff; a void in its edge is copied into the work, so fill it"),
    ACRYLIC("acrylic", "lines show through it; a hot bit or a shank that rubs melts its edge");

    private final String words;
    private final String consequence;

    TemplateMaterial(String words, String consequence) {
        this.words = words;
        this.consequence = consequence;
    }

    public String words() {
        return words;
    }

    public String consequence() {
        return consequence;
    }
}

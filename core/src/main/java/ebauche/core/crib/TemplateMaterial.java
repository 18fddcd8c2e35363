package ebauche.core.crib;

/** What a template is made of, and what follows from it: common practice. */
public enum TemplateMaterial {
    MDF("mdf", "MDF", "cuts and files cleanly; swells where it gets wet, and a bearing that stands still dents it"),
    HARDBOARD("hardboard", "hardboard", "tough and thin: a short bearing may run off it"),
    PLYWOOD("plywood", "plywood", "light and stiff; a void in its edge is copied into the work, so fill it"),
    ACRYLIC("acrylic", "acrylic", "lines show through it; a hot bit or a shank that rubs melts its edge");

    private final String key;
    private final String words;
    private final String consequence;

    TemplateMaterial(String key, String words, String consequence) {
        this.key = key;
        this.words = words;
        this.consequence = consequence;
    }

    public String words() {
        return words;
    }

    public String consequence() {
        return consequence;
    }

    /** As files write it. */
    public String key() {
        return key;
    }
}

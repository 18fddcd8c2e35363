package ebauche.exchange.paper;

import ebauche.core.measure.LengthUnit;

/** Sheets that printers hold, upright, mm. */
public enum Paper {
    A4("A4", 210, 297),
    LETTER("Letter", 215.9, 279.4);

    private final String words;
    private final double width;
    private final double height;

    Paper(String words, double width, double height) {
        this.words = words;
        this.width = width;
        this.height = height;
    }

    /** Inch makers mostly have Letter in the printer: common practice. */
    public static Paper usualFor(LengthUnit unit) {
        return unit == LengthUnit.INCH ? LETTER : A4;
    }

    public String words() {
        return words;
    }

    double width(boolean landscape) {
        return landscape ? height : width;
    }

    double height(boolean landscape) {
        return landscape ? width : height;
    }
}

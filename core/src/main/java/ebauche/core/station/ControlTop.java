package ebauche.core.station;

import ebauche.core.hardware.Control;
import ebauche.core.measure.Reckoning;

/**
 * The top that a control is mounted through.
 *
 * @param thickness of the body there when it is finished
 * @param wood left over the control
 * @param stepped whether its floor is a step of its own
 * @param measured whether the body was measured there after the carve
 */
public record ControlTop(Control control, Reckoning thickness, Reckoning wood, boolean stepped, boolean measured) {
    private static final double NEARLY = 1e-9;

    public boolean tooThick() {
        return wood.value() > control.thickestTop() + NEARLY;
    }

    public boolean tooThin() {
        return wood.value() < control.thinnestTop() - NEARLY;
    }
}

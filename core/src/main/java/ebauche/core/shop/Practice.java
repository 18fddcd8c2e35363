package ebauche.core.shop;

import ebauche.core.measure.Refusal;

/**
 * The schools that the shop follows, and its usual allowances.
 *
 * @param thicknessing how blanks are brought to thickness
 * @param holdDown how templates are held
 * @param frontSanding wood left on the front for its finish sanding, mm
 * @param backSanding the same for the back
 * @param sawAllowance how far outside the line the outline is sawn
 * @param wasteShy how far above the final floor the waste is drilled, beyond the drill's spur
 * @param lastPass depth of the last light pass of a pocket
 * @param glueHours from clamping to machining
 */
public record Practice(
        Thicknessing thicknessing,
        HoldDown holdDown,
        double frontSanding,
        double backSanding,
        double sawAllowance,
        double wasteShy,
        double lastPass,
        double glueHours) {

    public enum Thicknessing {
        PLANER("thickness planer"),
        ROUTER_SLED("router sled"),
        DRUM_SANDER("drum sander"),
        HAND_PLANE("hand plane");

        private final String words;

        Thicknessing(String words) {
            this.words = words;
        }

        public String words() {
            return words;
        }
    }

    public enum HoldDown {
        /** Screws into wood that a pocket will take away: goes back on in exactly the same place. */
        SCREWS_IN_WASTE("two screws into future waste"),
        TAPE("double-sided tape");

        private final String words;

        HoldDown(String words) {
            this.words = words;
        }

        public String words() {
            return words;
        }
    }

    public Practice {
        Refusal.between(frontSanding, 0, 5, "frontSanding");
        Refusal.between(backSanding, 0, 5, "backSanding");
        Refusal.between(sawAllowance, 0, 30, "sawAllowance");
        Refusal.between(wasteShy, 0, 10, "wasteShy");
        Refusal.between(lastPass, 0.1, 5, "lastPass");
        Refusal.between(glueHours, 0, 400, "glueHours");
    }

    /** The same with another way of thicknessing. */
    public Practice withThicknessing(Thicknessing school) {
        return new Practice(school, holdDown, frontSanding, backSanding, sawAllowance, wasteShy, lastPass, glueHours);
    }
}

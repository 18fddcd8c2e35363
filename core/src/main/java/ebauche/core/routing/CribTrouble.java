package ebauche.core.routing;

import ebauche.core.crib.Bit;
import ebauche.core.crib.Crib;
import ebauche.core.feature.Feature;
import ebauche.core.feature.Work;
import ebauche.core.geometry.Point;
import ebauche.core.job.Finding;
import ebauche.core.passes.GuidedCut;
import ebauche.core.passes.PassPlanner;
import ebauche.core.passes.Shortage;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** A guided cut that the crib's bits cannot make, as a finding: what is wrong, and the least purchase or change that helps. */
public final class CribTrouble {
    private CribTrouble() {}

    /**
     * Judges a cut.
     *
     * @param noun as the cut is called in words
     * @param corner smallest inside corner as drawn, mm
     */
    public static Optional<Finding> of(
            GuidedCut cut, Crib crib, Work work, Feature feature, String noun, Point at, double corner) {
        if (PassPlanner.isFeasible(cut, crib)) {
            return Optional.empty();
        }
        Shortage shortage = Shortage.of(cut, crib);
        Finding.Builder finding = Finding.thinkAgain(work, shortage.cornerTooTight() ? "no-bit" : "no-passes")
                .on(feature)
                .at(at)
                .length("corner radius", corner)
                .length("depth", cut.depth())
                .length("template", cut.template());
        String what = shortage.cornerTooTight()
                ? "No sound bearing bit in the crib turns in the " + noun + "'s corner of {0}."
                : "No passes of the crib's bits make the " + noun + ", {1} deep, on a template {2} thick.";
        return Optional.of(finding.says(what, cure(shortage, crib, cut.through(), finding)));
    }

    private static String cure(Shortage shortage, Crib crib, boolean through, Finding.Builder finding) {
        List<String> cures = new ArrayList<>();
        int next = 3;
        if (shortage.worn().isPresent()) {
            Bit bit = shortage.worn().get();
            finding.length("its bearing's diameter", bit.bearingDiameter());
            cures.add("a new bearing {" + next++ + "} across on the " + bit.name()
                    + (crib.hasSpare(bit) ? ", which lies in the drawer" : ""));
        }
        if (shortage.bit().isPresent()) {
            Bit bit = shortage.bit().get();
            finding.length("a bit's diameter", bit.diameter()).length("its cutter's length", bit.cutterLength());
            cures.add("a " + (bit.bearing().atTip() ? "tip" : "shank") + "-bearing bit {" + next++
                    + "} across with a cutter {" + next++ + "} long");
        }
        if (shortage.template().isPresent()) {
            finding.length("a template's thickness", shortage.template().getAsDouble());
            cures.add("a template {" + next + "} thick");
        }
        String others;
        if (shortage.cornerTooTight()) {
            others = through ? "Open the curve, or finish the corner by file" : "Open the corner, or square it by hand";
        } else {
            others = through ? "Sand to the line" : "Make it another depth";
        }
        return cures.isEmpty()
                ? others + "."
                : "What would do: " + String.join(", or ", cures) + ". " + others + " otherwise.";
    }
}

package ebauche.core.design;

import ebauche.core.feature.Feature;
import ebauche.core.geometry.Outline;
import ebauche.core.hardware.Bridge;
import ebauche.core.hardware.Control;
import ebauche.core.hardware.ControlCavity;
import ebauche.core.hardware.Jack;
import ebauche.core.hardware.Part;
import ebauche.core.hardware.PartHole;
import ebauche.core.hardware.Pickup;
import ebauche.core.measure.Refusal;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * A body as the maker wants it.
 *
 * @param name what the maker calls it
 * @param thickness finished
 * @param outline finished, seen from the front
 * @param scale string length S, nut to scale line
 * @param templates those that are not made as the shop usually does, at most one a feature
 * @param holes single holes for inserts and strap buttons
 * @param contours carved parts of front and back
 * @param undecided features that the maker has not decided on yet: their wood is kept, and nothing is cut for them
 */
public record BodyDesign(
        String name,
        Blank blank,
        double thickness,
        Outline outline,
        double scale,
        NeckJoint neck,
        StringSetup strings,
        Bridge bridge,
        List<Pickup> pickups,
        List<Control> controls,
        Optional<ControlCavity> controlCavity,
        Optional<Jack> jack,
        List<TemplateMade> templates,
        List<PartHole> holes,
        List<Contour> contours,
        Set<Feature> undecided) {

    public BodyDesign {
        Refusal.between(thickness, 5, 120, "thickness");
        Refusal.between(scale, 200, 1200, "scale");
        Refusal.unless(
                outline.region().maxX() - outline.region().minX() <= 600
                        && outline.region().maxY() - outline.region().minY() <= 1200,
                "outline",
                "the body is larger than 600 x 1200 mm. Is the path's unit right?");
        Refusal.unless(
                Math.abs(outline.region().centroid().x()) <= 300
                        && Math.abs(outline.region().centroid().y()) <= 1200,
                "outline",
                "the body lies far from its saddle line. x is 0 on the centre line, y is 0 at the saddles");
        Refusal.unless(
                strings.spread() / 2 < neck.fingerboardRadius(),
                "strings",
                "the strings' spread is wider than the fingerboard's radius allows; check both");
        pickups = List.copyOf(pickups);
        controls = List.copyOf(controls);
        templates = List.copyOf(templates);
        holes = List.copyOf(holes);
        contours = List.copyOf(contours);
        undecided = Set.copyOf(undecided);
        for (Contour contour : contours) {
            Refusal.unless(
                    contour.depth() < thickness,
                    "contours",
                    "the " + contour.feature().said() + " is deeper than the body is thick");
        }
    }

    /** On which side its bass strings lie. */
    public Hand hand() {
        return strings.hand();
    }

    /** The bought parts that cavities follow from, by the feature that is cut for each, in the order of the design. */
    public Map<Feature, Part> parts() {
        Map<Feature, Part> parts = new LinkedHashMap<>();
        neck.ferrule().ifPresent(p -> parts.put(NeckJoint.FERRULES, p));
        bridge.part().ifPresent(p -> parts.put(Bridge.FEATURE, p));
        bridge.stringThrough().flatMap(Bridge.StringThrough::ferrule).ifPresent(p -> parts.put(Bridge.FERRULES, p));
        pickups.forEach(pickup -> pickup.part().ifPresent(p -> parts.put(pickup.feature(), p)));
        controls.forEach(control -> control.part().ifPresent(p -> parts.put(control.feature(), p)));
        controlCavity.flatMap(ControlCavity::cover).ifPresent(p -> parts.put(ControlCavity.COVER, p));
        jack.flatMap(Jack::part).ifPresent(p -> parts.put(Jack.FEATURE, p));
        holes.forEach(hole -> parts.put(hole.feature(), hole.part()));
        return parts;
    }

    /** The same design with another neck joint. */
    public BodyDesign with(NeckJoint otherNeck) {
        return new BodyDesign(
                name,
                blank,
                thickness,
                outline,
                scale,
                otherNeck,
                strings,
                bridge,
                pickups,
                controls,
                controlCavity,
                jack,
                templates,
                holes,
                contours,
                undecided);
    }

    /** The same design with its hardware cut for other sizes. */
    public BodyDesign with(
            Bridge otherBridge,
            List<Pickup> otherPickups,
            List<Control> otherControls,
            Optional<ControlCavity> otherCavity,
            Optional<Jack> otherJack) {
        return new BodyDesign(
                name,
                blank,
                thickness,
                outline,
                scale,
                neck,
                strings,
                otherBridge,
                otherPickups,
                otherControls,
                otherCavity,
                otherJack,
                templates,
                holes,
                contours,
                undecided);
    }

    /** How the template of a feature is made. */
    public TemplateMade template(Feature feature) {
        return templates.stream()
                .filter(t -> t.feature().equals(feature))
                .findFirst()
                .orElseGet(() -> TemplateMade.usual(feature));
    }

    /**
     * Where fret n stands, mm from the scale line: S / 2^(n/12), twelve-tone equal temperament.
     */
    public double fret(int n) {
        return scale / Math.pow(2, n / 12.0);
    }
}

package ebauche.exchange.takeon;

import ebauche.core.cavity.CavityFromParts;
import ebauche.core.channel.DishPlaces;
import ebauche.core.channel.JackPlaces;
import ebauche.core.crib.Bit;
import ebauche.core.design.EndsAs;
import ebauche.core.feature.Feature;
import ebauche.core.feature.FeatureKind;
import ebauche.core.geometry.Point;
import ebauche.core.hardware.Jack;
import ebauche.core.hardware.Part;
import ebauche.core.hardware.PartKind;
import ebauche.core.hardware.PartSize;
import ebauche.core.job.Build;
import ebauche.core.measure.Gauge;
import ebauche.core.measure.Length;
import ebauche.core.measure.Refusal;
import ebauche.core.measure.Rounding;
import ebauche.core.plan.Planner;
import ebauche.core.shop.Shop;
import ebauche.core.takeon.FirstLayout;
import ebauche.core.takeon.Laid;
import ebauche.core.takeon.OnTheBench;
import ebauche.core.takeon.PickupPlace;
import ebauche.exchange.design.Additions;
import ebauche.exchange.design.FeatureMove;
import ebauche.exchange.design.Mirrored;
import ebauche.exchange.design.PartFile;
import ebauche.exchange.file.BuildFile;
import ebauche.exchange.json.BuildFileException;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/**
 * A body taken on from what lies on the bench: its file as far as it could be laid out, and what is said of it.
 *
 * @param file the first revision, empty where something typed cannot be read
 * @param build what that file means in the shop
 * @param said of each thing: where it lies, what it forecloses, why it cannot lie there
 * @param troubles what cannot be read, by field; under no field what no field caused
 */
public record TakenOn(Optional<ObjectNode> file, Optional<Build> build, List<Laid> said, Map<String, String> troubles) {
    /** The lip of a cover: common practice. */
    private static final double LIP = 5;

    /** Bits that a cavity is drawn for, the nearest to this first, mm: a half inch, common practice. */
    private static final double USUAL_BIT = 12.7;

    /** Wood over a cavity: as a knob's thread allows, within these, mm. */
    private static final double LEAST_WOOD = 3;

    private static final double MOST_WOOD = 6;

    /** A part stands so far off its cover. */
    private static final double BELOW_PART = 0.5;

    /** A thread stands out under its nut by so much. */
    private static final double THREAD_LEFT = 0.5;

    public TakenOn {
        said = List.copyOf(said);
        troubles = Map.copyOf(troubles);
    }

    /** Whether a body can be taken on like that. */
    public boolean holds() {
        return file.isPresent() && troubles.isEmpty() && said.stream().noneMatch(l -> l.kind() == Laid.Kind.CANNOT);
    }

    /**
     * Lays a body out.
     *
     * @param shop whose walls, rooms and bits it is for
     * @param reads what a file means in that shop
     */
    public static TakenOn of(Answers answers, Shop shop, Function<ObjectNode, Build> reads) {
        Map<String, String> troubles = new LinkedHashMap<>();
        try {
            Length scale = answers.length("scale")
                    .orElseGet(() -> Length.parse(
                            new Gauge(answers.bare()).text(answers.strung().scale(), Rounding.NEAREST)));
            OnTheBench bench = answers.onTheBench(scale.millimetres());
            FirstLayout layout = FirstLayout.of(bench, shop);
            ObjectNode design = FirstDesign.of(answers, bench, layout, scale);
            if (answers.canBeLaidOut()) {
                return new Laying(answers, bench, layout, shop, reads).done(design);
            }
        } catch (Refusal refusal) {
            troubles.put(refusal.field(), refusal.getMessage());
        } catch (BuildFileException unreadable) {
            troubles.put("", unreadable.inWords());
        }
        troubles.putAll(answers.troubles());
        return new TakenOn(Optional.empty(), Optional.empty(), List.of(), troubles);
    }

    /** What asks the whole body: the cavity, the jack, and what stays undecided. */
    private static final class Laying {
        private final Answers answers;
        private final OnTheBench bench;
        private final FirstLayout layout;
        private final Shop shop;
        private final Function<ObjectNode, Build> reads;
        private final List<Laid> said = new ArrayList<>();
        private final Set<Feature> open = new LinkedHashSet<>();

        Laying(Answers answers, OnTheBench bench, FirstLayout layout, Shop shop, Function<ObjectNode, Build> reads) {
            this.answers = answers;
            this.bench = bench;
            this.layout = layout;
            this.shop = shop;
            this.reads = reads;
            this.said.addAll(layout.said());
        }

        TakenOn done(ObjectNode design) {
            ObjectNode file = JsonNodeFactory.instance
                    .objectNode()
                    .put("format", BuildFile.FORMAT)
                    .put("version", BuildFile.VERSION);
            file.set("design", design);
            if (layout.holds() && !layout.controls().isEmpty()) {
                cavity(file, design);
            }
            if (layout.holds()) {
                jack(file, design);
            }
            undecided();
            if (answers.open("outline")) {
                said.add(Laid.lies(
                        Laid.About.OUTLINE,
                        "A plain one stands in for it: any other can take its place until it is sawn."));
            }
            if (!open.isEmpty()) {
                ArrayNode list = design.putArray("undecided");
                open.forEach(f -> list.add(f.word()));
            }
            if (answers.endsAs() != EndsAs.FINISHED) {
                design.put("endsAs", answers.endsAs().key());
            }
            if (answers.left()) {
                file.set("design", Mirrored.of(design));
            }
            return new TakenOn(Optional.of(file), Optional.of(reads.apply(file)), said, answers.troubles());
        }

        private void cavity(ObjectNode file, ObjectNode design) {
            Build build = reads.apply(file);
            List<Bit> bits = shop.crib().bits().stream()
                    .filter(b -> b.bearing().atShank() && b.diameter() <= USUAL_BIT + 0.1)
                    .sorted(Comparator.comparingDouble(Bit::diameter).reversed())
                    .toList();
            Optional<CavityFromParts> tight = Optional.empty();
            for (Bit bit : bits) {
                Optional<CavityFromParts> drawn = CavityFromParts.of(
                        build, new CavityFromParts.CavityWanted(FeatureKind.ELDEST, bit.diameter(), LIP));
                if (drawn.filter(CavityFromParts::isWhole).isPresent()) {
                    FirstDesign.cavity(
                            design,
                            bench,
                            drawn.get().path(bit.diameter()),
                            drawn.get().screws(),
                            woodOver(build.design().thickness()),
                            LIP,
                            answers.bare());
                    return;
                }
                tight = tight.or(() -> drawn);
            }
            said.add(
                    tight.isEmpty()
                            ? Laid.cannot(
                                    Laid.About.CONTROLS,
                                    "The crib has no bit with a bearing at its shank of up to {0} to rout their cavity with.",
                                    USUAL_BIT)
                            : Laid.cannot(
                                    Laid.About.CONTROLS,
                                    "Their cavity does not come out in one piece with {0} of wood round it. Leave one out, or take smaller ones.",
                                    shop.limits().thinnestWall()));
        }

        /** As much wood over the cavity as the shortest thread passes and the deepest part leaves. */
        private double woodOver(double thickness) {
            double cover = Usual.cover().get(PartSize.THICKNESS);
            double least = MOST_WOOD;
            for (Part part : bench.controls()) {
                if (part.has(PartSize.THREAD)) {
                    least = Math.min(
                            least,
                            part.get(PartSize.THREAD) - part.size(PartSize.NUT).orElse(0) - THREAD_LEFT);
                    least = Math.min(least, thickness - cover - part.get(PartSize.BELOW) - BELOW_PART);
                }
            }
            return Math.max(LEAST_WOOD, least);
        }

        private void jack(ObjectNode file, ObjectNode design) {
            if (!answers.has("jack", true)) {
                return;
            }
            if (design.path("cavities").isEmpty()) {
                if (!bench.controls().isEmpty()) {
                    return;
                }
                said.add(Laid.lies(
                        Laid.About.JACK, "There is no cavity for it to come out in yet; it is left for later."));
                return;
            }
            Part part = answers.part("jack", PartKind.JACK, Usual.jack());
            if (part.kind() == PartKind.JACK_DISH) {
                inADish(file, design, part);
            } else {
                inTheEdge(file, design, part);
            }
        }

        private void inADish(ObjectNode file, ObjectNode design, Part part) {
            Additions.add(design, "jack-dish");
            ArrayNode cavities = (ArrayNode) design.get("cavities");
            ObjectNode dish = (ObjectNode) cavities.get(cavities.size() - 1);
            dish.set("cover", PartFile.write(part));
            Build build = reads.apply(file);
            List<DishPlaces.Place> places =
                    DishPlaces.of(build, Planner.schedule(build).history(), 1);
            if (places.isEmpty()) {
                cavities.remove(cavities.size() - 1);
                said.add(
                        Laid.cannot(
                                Laid.About.JACK,
                                "No place on the front has room for its dish. Take a jack in the edge, or leave it undecided."));
                return;
            }
            DishPlaces.Place best = places.get(0);
            FeatureMove.move(
                    design, Feature.of(FeatureKind.CAVITY, dish.path("id").asString("")), best.dx(), best.dy());
            said.add(Laid.lies(
                    Laid.About.JACK,
                    "In a dish on the front, {0} from the controls' cavity, {1} of wood under its rout.",
                    best.apart(),
                    best.under()));
        }

        private void inTheEdge(ObjectNode file, ObjectNode design, Part part) {
            Build without = reads.apply(file);
            Point inside = without.design().cavities().get(0).plan().inner();
            Point out = new Point(layout.outline().region().maxX(), inside.y());
            put(
                    design,
                    new Jack(
                            out,
                            inside,
                            part.get(PartSize.HOLE),
                            without.design().thickness() / 2,
                            Optional.of(part)));
            Build build = reads.apply(file);
            List<JackPlaces.Place> places =
                    JackPlaces.of(build, Planner.schedule(build).history(), 1);
            if (places.isEmpty()) {
                design.remove("jack");
                said.add(Laid.cannot(
                        Laid.About.JACK,
                        "No place in the edge lets a hole of {0} out into the controls' cavity with {1} of wood round it. Take a smaller one, or leave it undecided.",
                        part.get(PartSize.HOLE),
                        shop.limits().thinnestWall()));
                return;
            }
            JackPlaces.Place best = places.get(0);
            put(design, best.jack());
            said.add(Laid.lies(
                    Laid.About.JACK,
                    "Through {0} of wood into the cavity, {1} of wood left beside it at the least"
                            + (best.reaches().isEmpty()
                                    ? "; no long bit gets to a pickup through it."
                                    : "; through it a long bit gets to the "
                                            + best.reaches().iterator().next().said() + "."),
                    best.wood(),
                    best.leastWood()));
        }

        private void put(ObjectNode design, Jack jack) {
            ObjectNode put = design.putObject("jack");
            Gauge fine = new Gauge(answers.bare());
            put.putObject("entry")
                    .put("x", Length.ofMillimetres(jack.entry().x()).toString())
                    .put("y", Length.ofMillimetres(jack.entry().y()).toString());
            put.putObject("aim")
                    .put("x", Length.ofMillimetres(jack.aim().x()).toString())
                    .put("y", Length.ofMillimetres(jack.aim().y()).toString());
            put.put("fromFront", fine.text(jack.fromFront(), Rounding.NEAREST));
            put.set("part", PartFile.write(jack.part().orElseThrow()));
        }

        /** What the maker has not decided on: its wood is kept. */
        private void undecided() {
            if (answers.open("joint")) {
                open(FeatureKind.NECK, FeatureKind.NECK_SCREWS);
            }
            if (answers.open("bridge")) {
                open(FeatureKind.BRIDGE);
            }
            for (PickupPlace place : PickupPlace.values()) {
                if (answers.open(Answers.pickup(place))) {
                    open.add(Feature.of(FeatureKind.PICKUP, place.id()));
                    open.add(Feature.of(FeatureKind.LEGS, place.id()));
                }
            }
            if (answers.open("pots")) {
                for (FeatureKind kind : List.of(FeatureKind.CAVITY, FeatureKind.COVER, FeatureKind.COVER_SCREWS)) {
                    open.add(Feature.of(kind, FeatureKind.ELDEST));
                }
                answers.controls().keySet().forEach(id -> open.add(Feature.of(FeatureKind.CONTROL, id)));
            } else if (answers.open("switch")) {
                open.add(Feature.of(FeatureKind.CONTROL, "switch"));
            }
            if (answers.open("jack")) {
                open(FeatureKind.JACK);
            }
        }

        private void open(FeatureKind... kinds) {
            for (FeatureKind kind : kinds) {
                open.add(Feature.of(kind));
            }
        }
    }
}

package ebauche.exchange.takeon;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import ebauche.core.design.BodyDesign;
import ebauche.core.design.Hand;
import ebauche.core.feature.Feature;
import ebauche.core.geometry.Region;
import ebauche.core.hardware.Control;
import ebauche.core.hardware.Pickup;
import ebauche.core.job.Finding;
import ebauche.core.measure.LengthUnit;
import ebauche.core.plan.AsItCame;
import ebauche.core.plan.BuildPlan;
import ebauche.core.plan.Planner;
import ebauche.core.plan.StillOpen;
import ebauche.core.shop.Shop;
import ebauche.core.takeon.Laid;
import ebauche.core.takeon.PlainOutline;
import ebauche.exchange.Remembering;
import ebauche.exchange.file.BuildFile;
import ebauche.exchange.file.DemoBodies;
import ebauche.exchange.table.BoxFile;
import java.util.Arrays;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.MethodSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Bodies taken on from what lies on the bench: all of it lies where it can be made, and what cannot is told at its place. */
@ExtendWith(Remembering.class)
class TakenOnTest {
    private static final Shop SHOP = Shop.starter(Shop.STARTER);

    private static TakenOn taken(LengthUnit unit, String... answers) {
        Map<String, String> typed = new HashMap<>(Map.of("name", "Bracken"));
        for (int i = 0; i < answers.length; i += 2) {
            typed.put(answers[i], answers[i + 1]);
        }
        Answers read = new Answers(
                typed,
                unit,
                key -> BoxFile.SHIPPED.stream()
                        .filter(g -> g.key().equals(key))
                        .map(BoxFile.Generic::part)
                        .findFirst());
        return TakenOn.of(read, SHOP, file -> BuildFile.of(file).build());
    }

    private static TakenOn taken(String... answers) {
        return taken(LengthUnit.MILLIMETRE, answers);
    }

    private static BodyDesign design(String... answers) {
        return taken(answers).build().orElseThrow().drawn();
    }

    private static String cannot(TakenOn on) {
        return String.join(
                "\n",
                on.said().stream()
                        .filter(l -> l.kind() == Laid.Kind.CANNOT)
                        .map(l -> l.about() + ": " + l.what(v -> Double.toString(v.value())))
                        .toList());
    }

    private static void isMade(TakenOn on) {
        assertThat(on.troubles()).isEmpty();
        assertThat(cannot(on)).isEmpty();
        assertThat(on.holds()).isTrue();
        BuildPlan plan = Planner.plan(on.build().orElseThrow());
        assertThat(plan.findings())
                .filteredOn(f -> f.severity() == Finding.Severity.STOPS)
                .extracting(f -> f.what(v -> Double.toString(v.value())))
                .isEmpty();
    }

    @ParameterizedTest
    @EnumSource(PlainOutline.class)
    void everyPlainOutlineHoldsAWholeBodyForEitherHand(PlainOutline shape) {
        TakenOn right = taken("outline", shape.key());
        TakenOn left = taken("outline", shape.key(), "hand", "left");
        isMade(right);
        isMade(left);
        BodyDesign one = right.build().orElseThrow().drawn();
        BodyDesign other = left.build().orElseThrow().drawn();
        assertThat(other.hand()).isEqualTo(Hand.LEFT);
        assertThat(other.outline().region().shared(one.outline().region().mirrored()))
                .isCloseTo(one.outline().region().area(), within(1.0));
        assertThat(other.controls().get(0).at().x())
                .isCloseTo(-one.controls().get(0).at().x(), within(1e-6));
    }

    @ParameterizedTest
    @CsvSource({
        "guitar,4",
        "guitar,5",
        "guitar,6",
        "guitar,7",
        "guitar,8",
        "guitar,9",
        "guitar,10",
        "guitar,12",
        "bass,4",
        "bass,5",
        "bass,6"
    })
    void everyStringingHasItsBridgeNeckAndPickups(String strung, String strings) {
        for (String joint : List.of("bolt-on", "set")) {
            isMade(taken("strung", strung, "strings", strings, "joint", joint, "outline", "two-shoulders"));
        }
    }

    static Stream<String> bridges() {
        return BoxFile.SHIPPED.stream()
                .filter(g -> g.part().kind().isBridge())
                .map(BoxFile.Generic::key)
                .filter(k -> k.contains("six") || k.contains("wide") || k.contains("posts") || k.contains("recessed"))
                .filter(k -> !k.startsWith("bass"));
    }

    @ParameterizedTest
    @MethodSource("bridges")
    void everyBridgeOfTheLibraryStands(String key) {
        isMade(taken("bridge", key));
    }

    @ParameterizedTest
    @CsvSource({
        "through-wood,2,none,usual",
        "through-wood,3,blade-three,jack-plate",
        "through-wood,4,toggle,jack-barrel",
        "control-plate,2,none,usual",
        "scratch-plate,2,none,usual",
        "through-wood,1,none,jack-dish",
        "through-wood,0,none,usual"
    })
    void controlsAndJackGoWhereEverySchoolMountsThem(String mounting, String pots, String toggle, String jack) {
        isMade(taken("mounting", mounting, "pots", pots, "switch", toggle, "jack", jack));
    }

    @Test
    void aThinBodyAndOneOfTwelveStringsHaveTheirJacksBesideScrewsAndFloors() {
        isMade(taken("thickness", "34 mm"));
        isMade(taken("strings", "12", "outline", "two-shoulders", "bridge", "flat-pairs"));
    }

    /** Twelve-tone equal temperament: fret n lies scale / 2^(n/12) from the saddles. The 22nd of 25 1/2 in at 7.156 in: fret tables, from memory. */
    @Test
    void aHeelEndsJustBeyondTheLastFret() {
        BodyDesign design = design("scale", "25 1/2 in");
        assertThat(design.fret(22) / 25.4).isCloseTo(7.156, within(0.001));
        assertThat(design.fret(22) - design.neck().endWallToSaddle()).isBetween(3.0, 6.0);
        assertThat(design("scale", "25 1/2 in", "frets", "24").neck().endWallToSaddle())
                .isLessThan(design.neck().endWallToSaddle());
        assertThat(design("nutToEnd", "465 mm", "scale", "640 mm").neck().endWallToSaddle())
                .as("read off the neck: the scale less what was read")
                .isCloseTo(175, within(1e-9));
    }

    /** Common practice: a six-string neck is some 56 mm wide where it ends, and a bolt-on bass of four some 63 to 65. */
    @Test
    void aHeelIsAsWideAsItsStringsAsk() {
        assertThat(design().neck().widthAtEnd()).isBetween(55.0, 57.0);
        assertThat(design("strung", "bass").neck().widthAtEnd()).isBetween(60.0, 66.0);
        assertThat(design("heelWidth", "2 3/16 in").neck().widthAtEnd()).isCloseTo(55.5625, within(1e-9));
    }

    @Test
    void pickupsLieBetweenNeckAndBridgeWithAWallBetween() {
        BodyDesign design = taken("pickup-middle", "coil-narrow", "frets", "22")
                .build()
                .orElseThrow()
                .design();
        List<Region> inOrder = design.pickups().stream().map(Pickup::footprint).toList();
        assertThat(design.pickups()).extracting(Pickup::id).containsExactly("neck", "middle", "bridge");
        double wall = SHOP.limits().thinnestWall();
        assertThat(design.neck().endWallToSaddle() - inOrder.get(0).maxY()).isGreaterThanOrEqualTo(wall - 0.06);
        assertThat(inOrder.get(0).minY() - inOrder.get(1).maxY()).isGreaterThanOrEqualTo(wall - 0.06);
        assertThat(inOrder.get(1).minY() - inOrder.get(2).maxY()).isGreaterThanOrEqualTo(wall - 0.06);
        assertThat(inOrder.get(2).minY() - design.bridge().footprint().maxY()).isGreaterThanOrEqualTo(wall - 0.06);
    }

    @Test
    void controlsStandInTheirCavityOffTheStringsAndTheEdge() {
        BodyDesign design =
                taken("pots", "4", "switch", "toggle").build().orElseThrow().design();
        Region cavity = design.cavities().get(0).plan();
        Region body = design.outline().region();
        assertThat(design.controls())
                .extracting(Control::id)
                .containsExactly("switch", "volume-1", "volume-2", "tone-1", "tone-2");
        for (Control control : design.controls()) {
            assertThat(cavity.contains(control.footprint())).as(control.id()).isTrue();
            assertThat(control.at().x()).isGreaterThan(design.strings().spread() / 2 + 10);
        }
        assertThat(body.grown(-SHOP.limits().thinnestWall() + 0.05).contains(cavity))
                .isTrue();
        double nearest = Double.POSITIVE_INFINITY;
        for (int i = 1; i < design.controls().size(); i++) {
            nearest = Math.min(
                    nearest,
                    design.controls()
                            .get(i)
                            .at()
                            .distance(design.controls().get(i - 1).at()));
        }
        assertThat(nearest).as("a hand between two knobs").isGreaterThan(27);
    }

    @Test
    void whatIsNotDecidedKeepsItsWoodAndIsToldHowLong() {
        TakenOn on = taken("joint", "open", "pickup-neck", "open", "jack", "open");
        assertThat(on.holds()).isTrue();
        BuildPlan plan = Planner.plan(on.build().orElseThrow());
        assertThat(plan.stillOpen())
                .extracting(StillOpen::feature)
                .contains(Feature.parse("neck"), Feature.parse("pickup-neck"), Feature.parse("jack"));
        assertThat(plan.steps())
                .noneMatch(s -> s.operation().feature().equals(Feature.parse("neck"))
                        || s.operation().feature().equals(Feature.parse("jack")));
        TakenOn controls = taken("pots", "open");
        assertThat(Planner.plan(controls.build().orElseThrow()).steps())
                .noneMatch(s -> s.operation().feature().equals(Feature.parse("controls")));
        assertThat(taken("outline", "open").holds()).isTrue();
        assertThat(taken("bridge", "open").holds()).isTrue();
    }

    @Test
    void whatWasTypedStandsAsItWasTyped() {
        TakenOn on = taken(LengthUnit.INCH, "scale", "25 1/2", "thickness", "1 3/4", "heelLength", "3");
        var design = on.file().orElseThrow().path("design");
        assertThat(design.path("scale").asString("")).isEqualTo("25 1/2");
        assertThat(design.path("thickness").asString("")).isEqualTo("1 3/4");
        assertThat(design.path("neck").path("pocketLength").asString("")).isIn("3 in", "3");
        assertThat(design.path("pickups").path(0).path("at").path("y").asString(""))
                .matches("\\d+( \\d+/\\d+)? in");
        isMade(on);
    }

    /** Tussock's own outline, turned and from the back, comes out as it lies on Tussock, its edge at the neck's mouth. */
    @Test
    void anOwnLineIsLaidOnTheNeckWhicheverWayItIsDrawn() {
        BodyDesign tussock = DemoBodies.read("tussock").build().drawn();
        Region there = tussock.outline().region();
        double middle = (there.minX() + there.maxX()) / 2;
        StringBuilder path = new StringBuilder();
        there.forEachRing(ring -> {
            for (int i = 0; i + 2 < ring.length; i += 2) {
                // Drawn from the back, the neck to the right: x mirrored, then a quarter turn clockwise.
                path.append(i == 0 ? "M" : "L")
                        .append(ring[i + 1] + 40)
                        .append(' ')
                        .append(ring[i])
                        .append(' ');
            }
        });
        BodyDesign design = design(
                "outline",
                "own",
                "path",
                path + "Z",
                "neckPoints",
                "right",
                "fromBack",
                "yes",
                "centreOff",
                -middle + " mm");
        double mouth = design.neck().endWallToSaddle() + design.neck().pocketLength();
        Region laid = design.outline().region();
        Region wanted = there.moved(0, mouth - onTop(there));
        assertThat(laid.shared(wanted)).isCloseTo(wanted.area(), within(2.0));
    }

    private static double onTop(Region body) {
        return Arrays.stream(body.chords(true, 0)).max().orElseThrow();
    }

    @Test
    void whatABoughtBodyHasIsAFactThatNoLaterDesignChanges() {
        TakenOn on = taken("pots", "1");
        BuildPlan plan = Planner.plan(on.build().orElseThrow());
        var record = AsItCame.record(
                plan,
                EnumSet.of(AsItCame.Has.NECK, AsItCame.Has.CONTROLS),
                () -> UUID.randomUUID().toString(),
                "2026-05-14T09:00:00Z",
                "Ada",
                t -> "As it came: " + t);
        byte[] file = BuildFile.write(on.file().orElseThrow(), new ebauche.core.logbook.AsBuilt(record));
        BuildPlan after = Planner.plan(BuildFile.read(file).build());
        for (String there : List.of("blank", "outline", "neck", "neck-screws", "controls", "cover", "control-volume")) {
            assertThat(after.steps())
                    .as(there)
                    .filteredOn(s -> s.operation().feature().equals(Feature.parse(there)))
                    .isNotEmpty()
                    .allMatch(s -> s.done());
        }
        assertThat(after.steps())
                .filteredOn(s -> s.operation().feature().equals(Feature.parse("pickup-neck")))
                .isNotEmpty()
                .noneMatch(s -> s.done());
        assertThat(after.build().asBuilt().timeline()).hasSameSizeAs(record);
        assertThat(after.findings()).noneMatch(f -> f.severity() == Finding.Severity.STOPS);
    }

    @Test
    void aBodyThatIsSoldUnfinishedIsPlannedAsFarAsItIsMadeHere() {
        int whole = Planner.schedule(taken().build().orElseThrow()).steps().size();
        int shaped = Planner.schedule(taken("endsAs", "unrouted").build().orElseThrow())
                .steps()
                .size();
        int blank = Planner.schedule(taken("endsAs", "blank").build().orElseThrow())
                .steps()
                .size();
        assertThat(whole).isGreaterThan(shaped);
        assertThat(shaped).isGreaterThan(blank);
    }

    @ParameterizedTest
    @CsvSource({
        "strings,3,strings",
        "strings,many,strings",
        "scale,long,scale",
        "scale,5 mm,scale",
        "frets,99,frets",
        "bridge,nothing-such,bridge",
        "thickness,about two,thickness",
        "nutToEnd,640 mm,nutToEnd",
        "pieces,0,pieces",
        "heelThickness,3 mm,heelThickness",
        "heelWidth,5 mm,heelWidth",
        "heelLength,5 mm,heelLength",
        "boardThickness,30 mm,boardThickness",
        "width,20 mm,width"
    })
    void whatCannotBeReadIsToldAtItsField(String field, String typed, String told) {
        TakenOn on = taken(field, typed);
        assertThat(on.holds()).isFalse();
        assertThat(on.troubles()).containsKey(told);
        assertThat(on.troubles().get(told)).isNotBlank();
    }

    @Test
    void whatCannotLieTogetherIsToldWhereItWasAsked() {
        assertThat(cannot(taken(
                        "frets",
                        "24",
                        "pickup-neck",
                        "coil-double",
                        "pickup-middle",
                        "coil-double",
                        "pickup-bridge",
                        "coil-double",
                        "bridge",
                        "vibrato-posts",
                        "scale",
                        "580 mm")))
                .contains("PICKUPS");
        assertThat(cannot(taken("strung", "bass", "strings", "6", "bridge", "flat-six")))
                .contains("BRIDGE");
        assertThat(cannot(taken("bridge", "posts-metric", "stringsThrough", "yes")))
                .contains("BRIDGE");
        assertThat(cannot(taken(
                        "pots", "5", "pot", "pot-inch", "switch", "toggle", "width", "200 mm", "outline", "waisted")))
                .contains("CONTROLS");
        assertThat(cannot(taken("outline", "own", "path", "M -20 -160 L 20 -160 L 20 200 L -20 200 Z")))
                .contains("OUTLINE");
        assertThat(cannot(taken("outline", "own", "path", "M -160 -160 L 160 -160 L 20 200 L -20 200 Z")))
                .as("too narrow for its neck")
                .contains("OUTLINE");
        assertThat(taken("outline", "own").troubles()).containsKey("path");
        assertThat(taken("outline", "own", "path", "M 0 0 L 5").troubles()).containsKey("path");
        assertThat(taken("outline", "own", "path", "M 900 0 L 1300 0 L 1300 400 Z", "centreOff", "900 mm")
                        .holds())
                .isFalse();
    }

    @ParameterizedTest
    @ValueSource(strings = {"", "   ", "x"})
    void onlyANameIsAsked(String name) {
        TakenOn on = taken("name", name.equals("x") ? "x".repeat(121) : name);
        assertThat(on.build()).isPresent();
        assertThat(on.troubles()).containsOnlyKeys("name");
        assertThat(on.holds()).isFalse();
        assertThat(taken().holds()).isTrue();
    }
}

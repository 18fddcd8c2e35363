package ebauche.app.traveller;

import ebauche.app.body.Bodies;
import ebauche.app.web.Figures;
import ebauche.app.words.Words;
import ebauche.core.design.BodyDesign;
import ebauche.core.design.Hand;
import ebauche.core.geometry.Point;
import ebauche.core.measure.Quantity;
import ebauche.core.measure.Reckoning;
import ebauche.core.operation.Caution;
import ebauche.core.operation.Operation;
import ebauche.core.operation.Setting;
import ebauche.core.passes.Pass;
import ebauche.core.plan.BuildPlan;
import ebauche.core.plan.BuildPlan.PlanStep;
import ebauche.exchange.paper.Traveller;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.function.Function;

/** A plan in the words and the unit that its traveller is read in. */
final class TravellerWords {
    private final BuildPlan plan;
    private final Figures fig;
    private final Function<String, String> address;

    private TravellerWords(BuildPlan plan, Figures fig, Function<String, String> address) {
        this.plan = plan;
        this.fig = fig;
        this.address = address;
    }

    /**
     * The traveller of a body.
     *
     * @param all its done steps too
     * @param address where a step, by its key, stands at the bench
     */
    static Traveller of(Bodies.Current current, Figures fig, boolean all, Function<String, String> address) {
        TravellerWords words = new TravellerWords(current.plan(), fig, address);
        List<Traveller.Step> steps = new ArrayList<>();
        for (PlanStep step : current.plan().steps()) {
            if (all || !step.done()) {
                steps.add(words.step(step));
            }
        }
        return new Traveller(
                Words.say("bench.no", current.body().number(), current.name()),
                Words.say(
                        "traveller.revision",
                        current.revision().number(),
                        current.revision().madeBy(),
                        fig.moment(current.revision().madeAt()),
                        steps.size()),
                words.places(),
                steps);
    }

    private Traveller.Step step(PlanStep step) {
        Operation op = step.operation();
        Setting setting = op.setting();
        return new Traveller.Step(
                plan.indexOf(step) + 1,
                op.title(),
                step.done(),
                op.face().word(),
                setting.with()
                        + (setting.feed() == Setting.Feed.NONE
                                ? ""
                                : Words.say("bench.feed", setting.feed().name().toLowerCase(Locale.ROOT))),
                setting.figure().map(f -> figure(f, setting)).orElse(""),
                setting.figure().isPresent() ? setting.figureSays() : "",
                settings(setting),
                op.inspections().stream()
                        .map(i -> new Traveller.Read(
                                op.called(i.measurand()), Words.say("bench.should-read", fig.shouldRead(i))))
                        .toList(),
                op.ticks(),
                op.cautions().stream().map(Caution::words).toList(),
                address.apply(op.key().written()));
    }

    private String figure(Reckoning figure, Setting setting) {
        return figure.quantity() == Quantity.LENGTH
                ? fig.setting(figure.value(), setting.rounding(), setting.division()) + " "
                        + fig.unit().symbol()
                : fig.exact(figure.value(), figure.quantity());
    }

    private List<String> settings(Setting setting) {
        List<String> lines = new ArrayList<>();
        int i = 1;
        for (Pass pass : setting.passes()) {
            lines.add(Words.say(
                            "bits.in-the",
                            i++,
                            pass.cutter().bit().name(),
                            pass.cutter().router().name())
                    + ", "
                    + (pass.spacer() > 0
                            ? Words.say("bits.spacer-under-it", pass.led(), fig.length(pass.spacer()))
                            : pass.led())
                    + ": "
                    + Words.say(
                            "traveller.down-to",
                            fig.downTo(pass.to()),
                            fig.projecting(pass.projection(), pass.to()),
                            fig.thousands(pass.cutter().speeds().dial())));
        }
        setting.ledger()
                .forEach(r -> lines.add(r.does()
                        + r.figures().stream()
                                .map(f -> "; " + f.what() + " " + fig.fine(f.value(), f.quantity()))
                                .reduce("", String::concat)));
        return lines;
    }

    private List<Traveller.Place> places() {
        BodyDesign design = plan.build().design();
        List<Traveller.Place> places = new ArrayList<>();
        places.add(new Traveller.Place(
                Words.say("traveller.pocket-end"), fig.fromSaddles(design.neck().endWallToSaddle()), onLine()));
        places.add(new Traveller.Place(
                design.bridge().name(),
                fig.fromSaddles(design.bridge().footprintY()),
                sideways(design.bridge().offCentre())));
        design.neck().screws().forEach(s -> places.add(place(Words.say("traveller.neck-screw"), s)));
        design.pickups().forEach(p -> places.add(place(p.feature().part(), p.at())));
        design.controls().forEach(c -> places.add(place(c.feature().part(), c.at())));
        design.jack().ifPresent(j -> places.add(place(Words.say("traveller.jack"), j.entry())));
        design.holes().forEach(h -> places.add(place(h.feature().part(), h.at())));
        return places;
    }

    private Traveller.Place place(String what, Point at) {
        return new Traveller.Place(what, fig.fromSaddles(at.y()), sideways(at.x()));
    }

    private String sideways(double x) {
        Hand hand = plan.build().design().hand();
        return x == 0 ? onLine() : fig.sideways(x, hand);
    }

    private static String onLine() {
        return Words.say("traveller.on-it");
    }
}

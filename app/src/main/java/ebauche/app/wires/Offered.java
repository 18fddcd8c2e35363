package ebauche.app.wires;

import ebauche.app.body.Bodies;
import ebauche.app.whatif.WhatIfQuestion;
import ebauche.core.channel.BoreLook;
import ebauche.core.channel.DishPlaces;
import ebauche.core.channel.Finder;
import ebauche.core.channel.JackPlaces;
import ebauche.core.channel.Slots;
import ebauche.core.hardware.Channel;
import ebauche.core.job.Build;
import ebauche.core.plan.BuildPlan;
import java.util.List;
import java.util.Map;
import org.springframework.web.util.UriComponentsBuilder;

/**
 * What the page of the wires offers to try: ways to choose from, or places for the jack.
 *
 * @param asksForWays whether somebody asked for ways; there may be none
 * @param asksForJack whether somebody asked where the jack can stand
 * @param inDish whether that is in a dish on the front
 */
record Offered(
        boolean asksForWays,
        List<Way> ways,
        List<Slots.Slot> slots,
        boolean asksForJack,
        boolean inDish,
        List<JackPlace> jacks,
        List<DishPlace> dishes) {
    private static final int WAYS = 4;
    private static final int PLACES = 6;

    /** A channel that can be taken, with the address that tries it. */
    public record Way(Finder.Proposal proposal, String from, String into, String address) {}

    /** A place for the jack in the edge, with the address that tries it. */
    public record JackPlace(JackPlaces.Place place, String address) {}

    /** A place for the jack's dish, with the address that tries it. */
    public record DishPlace(DishPlaces.Place place, String address) {}

    /** What the word of an address asks for: ways, or the jack. */
    static Offered of(Bodies.Current current, BuildPlan plan, String find) {
        boolean forWays = find.equals("ways");
        boolean forJack = find.equals("jack");
        boolean inDish = plan.build().design().jackDish().isPresent();
        return new Offered(
                forWays,
                forWays ? ways(current, plan) : List.of(),
                forWays ? Slots.missing(plan.build(), plan.history()) : List.of(),
                forJack,
                inDish,
                forJack && !inDish ? jacks(current, plan) : List.of(),
                forJack ? dishes(current, plan) : List.of());
    }

    private static List<Way> ways(Bodies.Current current, BuildPlan plan) {
        return Finder.ranked(plan.build(), plan.history(), WAYS).stream()
                .map(p -> {
                    Channel channel = free(plan.build(), p.channel());
                    BoreLook look = BoreLook.of(plan.build(), plan.history(), channel);
                    return new Way(
                            p,
                            BoreLookWords.from(look.run()),
                            BoreLookWords.into(look.run()),
                            address(current, channel.id(), WhatIfQuestion.channel(channel)));
                })
                .toList();
    }

    private static List<JackPlace> jacks(Bodies.Current current, BuildPlan plan) {
        boolean stands = plan.build().design().jack().isPresent();
        return JackPlaces.of(plan.build(), plan.history(), PLACES).stream()
                .map(p -> new JackPlace(p, address(current, "", WhatIfQuestion.jack(p.jack(), stands))))
                .toList();
    }

    private static List<DishPlace> dishes(Bodies.Current current, BuildPlan plan) {
        return DishPlaces.of(plan.build(), plan.history(), PLACES).stream()
                .map(p -> new DishPlace(
                        p,
                        address(
                                current,
                                "",
                                WhatIfQuestion.move(
                                        plan.build()
                                                .design()
                                                .jackDish()
                                                .orElseThrow()
                                                .feature(),
                                        p.dx(),
                                        p.dy()))))
                .toList();
    }

    /** Under a name that the design does not have yet. */
    static Channel free(Build build, Channel channel) {
        List<String> taken = build.design().channels().stream().map(Channel::id).toList();
        String id = channel.id();
        for (int n = 2; taken.contains(id); n++) {
            id = channel.id() + "-" + n;
        }
        return new Channel(
                id,
                channel.from(),
                channel.fromUnder(),
                channel.to(),
                channel.toUnder(),
                channel.diameter(),
                channel.held());
    }

    /** The page with a channel chosen, and with what is tried. */
    static String address(Bodies.Current current, String channel, Map<String, String> asked) {
        UriComponentsBuilder uri = UriComponentsBuilder.fromPath(current.here() + "/wires");
        if (!channel.isEmpty()) {
            uri.queryParam("channel", channel);
        }
        asked.forEach(uri::queryParam);
        return uri.encode().build().toUriString();
    }
}

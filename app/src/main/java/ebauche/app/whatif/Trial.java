package ebauche.app.whatif;

import ebauche.app.body.Bodies;
import ebauche.app.box.Box;
import ebauche.app.design.DesignKeeping;
import ebauche.core.measure.LengthUnit;
import ebauche.core.plan.BuildPlan;
import ebauche.core.plan.Planner;
import ebauche.exchange.json.BuildFileException;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import tools.jackson.databind.node.ObjectNode;

/**
 * A what-if planned: the body as it would be, nothing kept.
 *
 * @param file as it would be kept
 * @param plan of it; today's where nothing is asked for or it cannot be read
 * @param troubles what is wrong, by field; empty for the design itself
 */
public record Trial(WhatIfQuestion asked, ObjectNode file, BuildPlan plan, Map<String, String> troubles) {

    private static final Pattern CHANNEL = Pattern.compile("design\\.channels\\[(\\d{1,3})]\\.([a-zA-Z.]{1,40})");
    private static final Pattern CAVITY = Pattern.compile("design\\.cavities\\[(\\d{1,3})]\\.(woodOver|depth)");

    static Trial of(Bodies.Current current, WhatIfQuestion asked, LengthUnit bare) {
        ObjectNode file = DesignKeeping.file(current);
        if (asked.isEmpty()) {
            return new Trial(asked, file, current.plan(), Map.of());
        }
        asked.into(file.withObject("/design"), Box.of(current.ways()), bare);
        Map<String, String> troubles = new LinkedHashMap<>(asked.troubles());
        if (!troubles.isEmpty()) {
            return new Trial(asked, file, current.plan(), troubles);
        }
        try {
            return new Trial(asked, file, Planner.plan(DesignKeeping.build(current, file)), troubles);
        } catch (BuildFileException e) {
            troubles.put(field(e.place(), file), e.getMessage());
            return new Trial(asked, file, current.plan(), troubles);
        }
    }

    /** The field of the form that a place of the design is changed by. */
    private static String field(String place, ObjectNode file) {
        Matcher cavity = CAVITY.matcher(place);
        if (cavity.matches()) {
            int member = Integer.parseInt(cavity.group(1)) - 1;
            return WhatIfQuestion.FLOOR
                    + file.at("/design/cavities").path(member).path("id").asString("");
        }
        Matcher channel = CHANNEL.matcher(place);
        if (channel.matches()) {
            int member = Integer.parseInt(channel.group(1)) - 1;
            return WhatIfQuestion.CHANNEL
                    + file.at("/design/channels").path(member).path("id").asString("") + "." + channel.group(2);
        }
        return switch (place) {
            case "design.thickness" -> "thickness";
            case "design.neck.angle" -> "angle";
            case "design.neck.heelThickness" -> "heel";
            case "design.bridge.wantedSaddle" -> "saddle";
            default -> "";
        };
    }

    /** What is asked and can be meant. */
    public Map<String, String> shown() {
        return troubles.isEmpty() ? asked.fields() : Map.of();
    }

    /** Whether there is anything to keep. */
    public boolean canBeKept() {
        return !asked.isEmpty() && troubles.isEmpty();
    }
}

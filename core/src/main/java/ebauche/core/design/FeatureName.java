package ebauche.core.design;

/** A feature's lasting name, such as {@code pickup-neck}, as it is said at the bench: {@code neck pickup cavity}. */
public final class FeatureName {
    private FeatureName() {}

    public static String said(String feature) {
        return switch (feature) {
            case "neck" -> "neck pocket";
            case "neck-screws" -> "neck screw holes";
            case "neck-ferrules" -> "neck ferrules' seats";
            case "controls" -> "control cavity";
            case "cover" -> "cover recess";
            case "jack" -> "jack hole";
            case "springs" -> "spring cavity";
            case "vibrato" -> "vibrato route";
            case "cover-screws" -> "cover's screw holes";
            case "string-holes" -> "strings' holes";
            case "ferrules" -> "ferrules' seats";
            case "bridge-studs" -> "bridge stud holes";
            default -> composed(feature);
        };
    }

    /** The part that a feature is cut for: {@code neck pickup} for {@code pickup-neck}. */
    public static String part(String feature) {
        if (feature.equals("ferrules")) {
            return "ferrules";
        }
        if (feature.startsWith("pickup-")) {
            return rest(feature) + " pickup";
        }
        if (feature.startsWith("control-") || feature.startsWith("hole-")) {
            return rest(feature);
        }
        return feature.replace('-', ' ');
    }

    private static String composed(String feature) {
        if (feature.startsWith("pickup-")) {
            return rest(feature) + " pickup cavity";
        }
        if (feature.startsWith("control-")) {
            return rest(feature) + " hole";
        }
        if (Contour.isFeature(feature)) {
            return rest(feature) + " contour";
        }
        if (feature.startsWith("legs-")) {
            return rest(feature) + " pickup's leg pockets";
        }
        if (feature.startsWith("hole-")) {
            return rest(feature) + " hole";
        }
        if (feature.startsWith("step-")) {
            return "step under the " + rest(feature);
        }
        return feature.replace('-', ' ');
    }

    private static String rest(String feature) {
        return feature.substring(feature.indexOf('-') + 1).replace('-', ' ');
    }
}

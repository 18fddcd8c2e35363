package ebauche.exchange.plan;

import ebauche.core.measure.Reckoning;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/**
 * Works a sum out from its words alone, as a reader with a pocket calculator would: the terms' names (or the letter behind a
 * name's comma), + − × / and brackets, roots, cos and tan of degrees, arctan, Φ, and letters set side by side. "The larger of (a) and (b)" is what it says.
 */
final class SumInWords {
    private final List<Object> tokens = new ArrayList<>();
    private int at;

    private SumInWords(Reckoning sum) {
        Map<String, Double> names = new LinkedHashMap<>();
        for (Reckoning.Term term : sum.terms()) {
            names.put(term.name(), term.value());
            String unit = term.name().replaceAll("( at 12 %)?, [a-z/²³]+$", "");
            names.putIfAbsent(unit, term.value());
            int comma = term.name().lastIndexOf(", ");
            if (comma > 0) {
                names.putIfAbsent(term.name().substring(comma + 2), term.value());
            }
        }
        List<String> longestFirst = new ArrayList<>(names.keySet());
        longestFirst.sort(Comparator.comparingInt(String::length).reversed());
        String text = sum.formula();
        int i = 0;
        while (i < text.length()) {
            char c = text.charAt(i);
            int from = i;
            String name = longestFirst.stream()
                    .filter(n -> text.startsWith(n, from) && ends(text, from + n.length()))
                    .findFirst()
                    .orElse(null);
            if (name != null) {
                tokens.add(names.get(name));
                i += name.length();
            } else if (Character.isWhitespace(c)) {
                i++;
            } else if ("+-−×/()²".indexOf(c) >= 0) {
                tokens.add(String.valueOf(c == '−' ? '-' : c));
                i++;
            } else if (Character.isDigit(c)) {
                int end = i;
                while (end < text.length() && (Character.isDigit(text.charAt(end)) || text.charAt(end) == '.')) {
                    end++;
                }
                tokens.add(Double.valueOf(text.substring(i, end)));
                i = end;
            } else if (text.startsWith("the larger of ", i)) {
                tokens.add("larger");
                i += 14;
            } else if (text.startsWith("and ", i)) {
                i += 4;
            } else if (text.startsWith("√(", i)) {
                tokens.add("√");
                i += 1;
            } else if (text.startsWith("Φ(", i)) {
                tokens.add("Φ");
                i += 1;
            } else if (text.startsWith("arctan(", i)) {
                tokens.add("arctan");
                i += 6;
            } else if (text.startsWith("cos ", i) || text.startsWith("tan ", i)) {
                tokens.add(text.substring(i, i + 3));
                i += 4;
            } else {
                throw new IllegalArgumentException(
                        "“" + sum.what() + " = " + text + "” says “" + text.substring(i) + "”, which is no term of it");
            }
        }
    }

    private static boolean ends(String text, int at) {
        return at == text.length() || !Character.isLetterOrDigit(text.charAt(at));
    }

    /** The value that the words give. */
    static double of(Reckoning sum) {
        SumInWords reader = new SumInWords(sum);
        double value = reader.sum();
        if (reader.at < reader.tokens.size()) {
            throw new IllegalArgumentException("“" + sum.formula() + "” does not end where it should");
        }
        return value;
    }

    private Object next() {
        return at < tokens.size() ? tokens.get(at) : "";
    }

    private double sum() {
        double value = product();
        while (next().equals("+") || next().equals("-")) {
            boolean plus = tokens.get(at++).equals("+");
            double other = product();
            value = plus ? value + other : value - other;
        }
        return value;
    }

    private double product() {
        double value = factor();
        while (true) {
            if (next().equals("×")) {
                at++;
                value *= factor();
            } else if (next().equals("/")) {
                at++;
                value /= factor();
            } else if (next() instanceof Double
                    || next().equals("(")
                    || next().equals("larger")
                    || next().equals("√")
                    || next().equals("cos")
                    || next().equals("tan")) {
                value *= factor();
            } else {
                return value;
            }
        }
    }

    private double factor() {
        Object token = next();
        at++;
        if (token instanceof Double number) {
            return number;
        }
        if (token.equals("-")) {
            return -factor();
        }
        if (token.equals("cos")) {
            return Math.cos(Math.toRadians(factor()));
        }
        if (token.equals("tan")) {
            return Math.tan(Math.toRadians(factor()));
        }
        if (token.equals("√")) {
            return Math.sqrt(factor());
        }
        if (token.equals("Φ")) {
            return normal(factor());
        }
        if (token.equals("arctan")) {
            return Math.toDegrees(Math.atan(factor()));
        }
        if (token.equals("larger")) {
            return Math.max(factor(), factor());
        }
        if (token.equals("(")) {
            double value = sum();
            at++;
            return value;
        }
        throw new IllegalArgumentException("“" + token + "” stands where a number should");
    }

    /** The normal distribution's share below, by Simpson's rule over its density. */
    private static double normal(double z) {
        int steps = 2000;
        double width = z / steps;
        double sum = 0;
        for (int i = 0; i <= steps; i++) {
            double x = i * width;
            double weight = i == 0 || i == steps ? 1 : i % 2 == 1 ? 4 : 2;
            sum += weight * Math.exp(-x * x / 2);
        }
        return 0.5 + sum * width / 3 / Math.sqrt(2 * Math.PI);
    }
}

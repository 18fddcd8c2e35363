package ebauche.app.timber;

import java.math.BigInteger;
import java.util.Comparator;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** B2 before B10: runs of digits are compared as numbers, the rest letter by letter. */
final class NumbersInNames implements Comparator<String> {
    private static final Pattern RUN = Pattern.compile("\\d+|\\D+");

    @Override
    public int compare(String one, String other) {
        Matcher a = RUN.matcher(one);
        Matcher b = RUN.matcher(other);
        while (a.find()) {
            if (!b.find()) {
                return 1;
            }
            int order = Character.isDigit(a.group().charAt(0))
                            && Character.isDigit(b.group().charAt(0))
                    ? new BigInteger(a.group()).compareTo(new BigInteger(b.group()))
                    : a.group().compareToIgnoreCase(b.group());
            if (order != 0) {
                return order;
            }
        }
        return b.find() ? -1 : 0;
    }
}

package ebauche.app.account;

import java.net.InetAddress;
import java.net.NetworkInterface;
import java.net.SocketException;
import java.net.UnknownHostException;
import java.util.List;
import java.util.Locale;
import java.util.function.Predicate;
import java.util.regex.Pattern;

/**
 * The names by which a browser may call us: this machine itself, the address we listen on, and what the shop's set-up adds.
 * A request for any other is a foreign site's name that was pointed here.
 */
final class ServedHosts implements Predicate<String> {
    private static final Pattern ADDRESS = Pattern.compile("\\d{1,3}(\\.\\d{1,3}){3}|[0-9a-f:.]*:[0-9a-f:.]*");

    private final InetAddress bound;
    private final List<String> added;

    /**
     * @param bound the address listened on; null or the wildcard for all of the machine's
     * @param added further names, such as a proxy's
     */
    ServedHosts(InetAddress bound, List<String> added) {
        this.bound = bound;
        this.added = added.stream().map(ServedHosts::plain).toList();
    }

    @Override
    public boolean test(String host) {
        String name = plain(host);
        return name.equals("localhost")
                || added.contains(name)
                || (ADDRESS.matcher(name).matches() ? isOurAddress(name) : isMachine(name));
    }

    private static String plain(String host) {
        return host.strip().toLowerCase(Locale.ROOT).replaceAll("^\\[|]$|\\.$", "");
    }

    /** Only literal addresses get here, so that no name is looked up. */
    private boolean isOurAddress(String literal) {
        try {
            InetAddress address = InetAddress.getByName(literal);
            boolean everywhere = bound == null || bound.isAnyLocalAddress();
            return address.isLoopbackAddress()
                    || address.equals(bound)
                    || (everywhere && NetworkInterface.getByInetAddress(address) != null);
        } catch (UnknownHostException | SocketException none) {
            return false;
        }
    }

    private static boolean isMachine(String name) {
        try {
            String machine = plain(InetAddress.getLocalHost().getHostName());
            return name.equals(machine) || name.equals(machine + ".local");
        } catch (UnknownHostException unnamed) {
            return false;
        }
    }
}

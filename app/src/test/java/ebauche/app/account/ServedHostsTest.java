package ebauche.app.account;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.InetAddress;
import java.net.UnknownHostException;
import java.util.List;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class ServedHostsTest {
    /** 192.0.2.0/24 and example names are kept for documents (RFC 5737, RFC 2606): no machine's own. */
    @ParameterizedTest
    @CsvSource({
        "127.0.0.1, localhost, true",
        "127.0.0.1, LOCALHOST., true",
        "127.0.0.1, 127.0.0.1, true",
        "127.0.0.1, [::1], true",
        "127.0.0.1, 192.0.2.7, false",
        "127.0.0.1, 0.0.0.0, false",
        "127.0.0.1, bench.example, true",
        "127.0.0.1, Bench.Example, true",
        "127.0.0.1, other.example, false",
        "127.0.0.1, localhost.other.example, false",
        "127.0.0.1, 127.0.0.1.other.example, false",
        "127.0.0.1, 127.0.0.1.9, false",
        "127.0.0.1, '', false",
        "192.0.2.7, 192.0.2.7, true",
        "192.0.2.7, 192.0.2.8, false",
        "0.0.0.0, 127.0.0.1, true",
        "0.0.0.0, 192.0.2.7, false",
        "0.0.0.0, other.example, false",
    })
    void only_its_own_names_are_served(String bound, String host, boolean served) throws UnknownHostException {
        ServedHosts hosts = new ServedHosts(InetAddress.getByName(bound), List.of("bench.example"));
        assertThat(hosts.test(host)).isEqualTo(served);
    }
}

package idlebough.app.winter;

import java.net.URI;
import java.net.URISyntaxException;
import java.util.Arrays;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Component;

/**
 * From where this server may fetch readings. Whoever runs it lists the hosts and ports, {@code
 * bough.stations=192.168.1.20:80,…}; nobody else can make it call anything.
 */
@Component
public class StationAddresses {
    private final Set<String> allowed = ConcurrentHashMap.newKeySet();

    StationAddresses(@Value("${bough.stations:}") String listed) {
        Arrays.stream(listed.split(","))
                .map(String::strip)
                .filter(each -> !each.isEmpty())
                .forEach(allowed::add);
    }

    /** For the simulated stations that ship with the program. */
    public void allow(URI address) {
        allowed.add(address.getHost() + ":" + address.getPort());
    }

    /** Null when it may be asked, else why not. */
    public String complaint(String typed) {
        URI address;
        try {
            address = new URI(typed);
        } catch (URISyntaxException wrong) {
            return "This is not an address; it would look like http://192.168.1.20:80/readings.";
        }
        if (address.getHost() == null
                || !("http".equals(address.getScheme()) || "https".equals(address.getScheme()))
                || address.getUserInfo() != null
                || typed.length() > 300) {
            return "This is not an address; it would look like http://192.168.1.20:80/readings.";
        }
        int port = address.getPort() >= 0 ? address.getPort() : "https".equals(address.getScheme()) ? 443 : 80;
        return allowed.contains(address.getHost() + ":" + port)
                ? null
                : "This server may not fetch from " + address.getHost() + ":" + port
                        + ". Ask whoever runs it to list that station, or let the station send with a key.";
    }
}

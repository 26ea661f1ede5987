package idlebough.core.pollination;

import idlebough.core.crop.Variety;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;

/** Variety × variety: what each one's pollen is worth to each other, found once for every pair. Thread-safe. */
final class PollenTable {
    private final BloomTimes times;
    private final Map<String, Map<String, Pairing>> rows = new ConcurrentHashMap<>();

    PollenTable(BloomTimes times) {
        this.times = times;
    }

    Pairing of(Variety receiver, Variety partner) {
        return rows.computeIfAbsent(receiver.key(), key -> new ConcurrentHashMap<>())
                .computeIfAbsent(partner.key(), key -> Pairing.of(receiver, partner, times));
    }
}

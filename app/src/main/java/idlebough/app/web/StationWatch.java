package idlebough.app.web;

import idlebough.app.store.LiveMapper;
import idlebough.app.store.Scope;
import idlebough.core.judge.Finding;
import idlebough.core.winter.LiveCheck;
import idlebough.core.winter.LiveRules;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;

/** Says what is the matter with stations that give readings by themselves: silent, stuck, a clock that jumps. */
@Service
public class StationWatch {
    private static final Duration BEFORE = Duration.ofDays(3);
    private final LiveMapper live;
    private final Clock clock;

    StationWatch(LiveMapper live, Clock clock) {
        this.live = live;
        this.clock = clock;
    }

    /** What is to be said of a station that gives readings by itself; nothing of one that does not. */
    public List<Finding> findings(Scope scope, LiveMapper.Link link) {
        if (link.pullUrl() == null && !link.pushes()) {
            return List.of();
        }
        Instant now = clock.instant();
        Map<String, Long> counts = live.counts(scope, link.id(), now.minus(BEFORE)).stream()
                .collect(Collectors.toMap(LiveMapper.Count::fault, LiveMapper.Count::readings));
        return LiveRules.judge(
                link.name(),
                live.lastSound(scope, link.id()),
                now,
                counts.getOrDefault(LiveCheck.Fault.STUCK.name(), 0L),
                counts.getOrDefault(LiveCheck.Fault.CLOCK.name(), 0L));
    }

    /** What is not sound of all stations of an orchard. */
    public List<Finding> doubts(Scope scope) {
        return live.links(scope).stream()
                .flatMap(link -> findings(scope, link).stream())
                .filter(finding -> !finding.isSound())
                .toList();
    }
}

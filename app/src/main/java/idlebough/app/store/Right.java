package idlebough.app.store;

import java.util.Arrays;
import java.util.stream.Collectors;

/**
 * What somebody may do in an orchard, and the one place that says who. Every statement takes one of these through
 * {@code
 * mapper/rights.xml}.
 */
public enum Right {
    /** See everything. */
    LOOK(Role.OWNER, Role.PARTNER, Role.HELPER, Role.READER),
    /** Add planting-day records, measurements, notes and photos. */
    RECORD(Role.OWNER, Role.PARTNER, Role.HELPER),
    /** Change the plan. */
    PLAN(Role.OWNER, Role.PARTNER),
    /** Admit people, and take the orchard away. */
    GOVERN(Role.OWNER);

    private final Role[] roles;

    Right(Role... roles) {
        this.roles = roles;
    }

    public boolean has(Role role) {
        return Arrays.asList(roles).contains(role);
    }

    /** As SQL takes them: {@code 'OWNER','PARTNER'}. */
    public String getRoles() {
        return Arrays.stream(roles).map(role -> "'" + role.name() + "'").collect(Collectors.joining(","));
    }

    Right stricter(Right other) {
        return ordinal() >= other.ordinal() ? this : other;
    }
}

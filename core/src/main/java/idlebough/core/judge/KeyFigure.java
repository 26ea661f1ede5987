package idlebough.core.judge;

import java.util.Optional;

/**
 * A figure whose moving is told, since somebody downstream may already have carried it to the ground. Only its key is
 * stored; the words stand in the room's {@code sentences.properties} as {@code figure.<key>}.
 *
 * @param key stable, {@code room.what}
 * @param subject of which it is a figure
 * @param amount empty value while not known
 */
public record KeyFigure(String key, Subject subject, Amount amount) {
    public static KeyFigure of(String key, Subject subject, Amount amount) {
        return new KeyFigure(key, subject, amount);
    }

    public Optional<Double> value() {
        return Optional.ofNullable(amount.value());
    }
}

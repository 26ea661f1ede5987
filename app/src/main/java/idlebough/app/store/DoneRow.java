package idlebough.app.store;

import java.time.LocalDate;

/** A task of the almanac that was ticked off. */
public record DoneRow(RowKey key, String taskKey, LocalDate doneOn) implements Row {}

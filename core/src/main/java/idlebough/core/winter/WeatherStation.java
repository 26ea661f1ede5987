package idlebough.core.winter;

import java.time.LocalDate;
import java.util.List;

/** The port behind which any instrument that gives daily extremes stands, real or simulated. */
public interface WeatherStation {
    /** The station's name as it will stand beside its values. */
    String name();

    /** What it measured, both days included; days without a reading are missing from the list. */
    List<DailyExtremes> read(LocalDate first, LocalDate last);
}

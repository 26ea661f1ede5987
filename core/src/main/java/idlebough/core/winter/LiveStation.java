package idlebough.core.winter;

import java.io.IOException;
import java.time.Instant;
import java.util.List;

/** The port behind which any instrument that gives readings stands, near or far, real or simulated. */
public interface LiveStation {
    /**
     * What it read after this moment, oldest first; it may keep back later ones for the next call.
     *
     * @throws IOException when it does not answer, or not in a form that can be read
     */
    List<LiveReading> after(Instant moment) throws IOException;
}

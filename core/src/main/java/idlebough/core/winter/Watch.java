package idlebough.core.winter;

/** Told now and then how far a long work is, and free to stop it. */
@FunctionalInterface
public interface Watch {
    /** Nobody looks, nobody stops. */
    Watch NONE = share -> {};

    /**
     * @param share done, 0 to 1
     * @throws Stopped when the work is no longer wanted
     */
    void at(double share);

    /** The work was stopped by whoever watches it; nothing of it counts. */
    final class Stopped extends RuntimeException {
        public Stopped() {
            super("stopped", null, false, false);
        }
    }
}

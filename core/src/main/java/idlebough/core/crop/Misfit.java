package idlebough.core.crop;

/**
 * Why a variety does not do on a stock.
 *
 * @param fails whether the graft does not hold at all; else it holds poorly
 */
public record Misfit(boolean fails, String words) {}

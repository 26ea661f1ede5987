package idlebough.core.pollination;

/**
 * Days on which two varieties are open together.
 *
 * @param days whole days, both ends counted
 * @param score 1 when the partner covers six tenths of the receiver's bloom; ovules live only days (Williams 1966)
 */
public record CommonBloom(int days, double score) {
    private static final double ENOUGH_SHARE = 0.6;
    private static final int DAYS_PER_GROUP = 3;

    /** By day numbers, inclusive. */
    public static CommonBloom ofDays(int receiverStart, int receiverEnd, int partnerStart, int partnerEnd) {
        int days = Math.max(0, Math.min(receiverEnd, partnerEnd) - Math.max(receiverStart, partnerStart) + 1);
        return of(days, receiverEnd - receiverStart + 1);
    }

    /** By bloom groups: each step apart costs three days (project choice; 2–4 in the lists). */
    public static CommonBloom ofGroups(char receiver, char partner, int bloomDays) {
        return of(Math.max(0, bloomDays - DAYS_PER_GROUP * Math.abs(receiver - partner)), bloomDays);
    }

    private static CommonBloom of(int days, int receiverDays) {
        return new CommonBloom(days, Math.min(1, (double) days / receiverDays / ENOUGH_SHARE));
    }
}

package idlebough.core.pollination;

import idlebough.core.judge.RuleTable;

/**
 * Days on which two varieties are open together.
 *
 * @param days whole days, both ends counted
 * @param score 1 when the partner covers six tenths of the receiver's bloom; ovules live only days (Williams 1966)
 */
public record CommonBloom(int days, double score) {
    private static final RuleTable TABLE = RuleTable.of("pollination");

    /** By day numbers, inclusive. */
    public static CommonBloom ofDays(int receiverStart, int receiverEnd, int partnerStart, int partnerEnd) {
        int days = Math.max(0, Math.min(receiverEnd, partnerEnd) - Math.max(receiverStart, partnerStart) + 1);
        return of(days, receiverEnd - receiverStart + 1);
    }

    /** By bloom groups: each step apart costs three days (project choice; 2–4 in the lists). */
    public static CommonBloom ofGroups(char receiver, char partner, int bloomDays) {
        return of(Math.max(0, bloomDays - daysPerGroup() * Math.abs(receiver - partner)), bloomDays);
    }

    /** Days between one bloom group and the next. */
    static int daysPerGroup() {
        return (int) TABLE.value("group-days");
    }

    private static CommonBloom of(int days, int receiverDays) {
        return new CommonBloom(days, Math.min(1, (double) days / receiverDays / TABLE.value("bloom-share")));
    }
}

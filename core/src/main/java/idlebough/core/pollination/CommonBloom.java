package idlebough.core.pollination;

import idlebough.core.judge.RuleTable;
import java.util.Optional;

/**
 * Days on which two varieties are open together.
 *
 * @param days whole days, both ends counted; the mean of the springs where they are known
 * @param total days that the receiver is open
 * @param score 1 when the partner covers six tenths of the receiver's bloom; ovules live only days (Williams 1966)
 * @param springs spring by spring; empty where only groups are told
 */
public record CommonBloom(int days, int total, double score, Optional<SpringsTogether> springs) {
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

    /** By the springs of the record. */
    public static CommonBloom ofSprings(SpringsTogether springs) {
        return new CommonBloom(
                (int) Math.round(springs.meanDays()),
                (int) Math.round(springs.meanReceiverDays()),
                springs.score(),
                Optional.of(springs));
    }

    /** With a tree of which nobody knows the variety, and so not the time: part of the worth of the whole bloom. */
    static CommonBloom untold(int bloomDays) {
        double score = TABLE.value("bloom.unknown");
        return new CommonBloom(
                (int) Math.round(score * TABLE.value("bloom-share") * bloomDays), bloomDays, score, Optional.empty());
    }

    /** The whole bloom. */
    static CommonBloom whole(int bloomDays) {
        return of(bloomDays, bloomDays);
    }

    /** The same if the two were told one bloom group nearer than they are. */
    CommonBloom oneStepApart() {
        return springs.map(known -> ofSprings(known.apart(daysPerGroup())))
                .orElseGet(() -> of(Math.max(0, days - daysPerGroup()), total));
    }

    /** Days between one bloom group and the next. */
    private static int daysPerGroup() {
        return (int) TABLE.value("group-days");
    }

    private static CommonBloom of(int days, int total) {
        return new CommonBloom(days, total, score(days, total), Optional.empty());
    }

    static double score(int days, int receiverDays) {
        return Math.min(1, (double) days / receiverDays / TABLE.value("bloom-share"));
    }
}

package idlebough.core.pollination;

import java.util.Arrays;
import java.util.List;

/**
 * Gametophytic self-incompatibility of the rose family's fruits (de Nettancourt 1977): a pollen grain is refused when
 * its
 * one allele is among the pistil's, unless the donor's copy is a pollen-part mutant ({@code :P}) or the pistil's a
 * stylar-part mutant ({@code :S}). Directional. Not for polyploid plums and sour cherries.
 */
public final class SAlleles {
    private final List<String> alleles;

    private SAlleles(List<String> alleles) {
        this.alleles = alleles;
    }

    /** @param written {@code 5/9}, {@code 3/4:P}, {@code 2/3/5} */
    public static SAlleles of(String written) {
        return new SAlleles(Arrays.asList(written.split("/")));
    }

    /** Accepted kinds of pollen over all kinds, when this is the pistil: 0 none, ½ part, 1 full. */
    public double accepts(SAlleles pollen) {
        long accepted = pollen.alleles.stream().filter(this::accepts).count();
        return (double) accepted / pollen.alleles.size();
    }

    /**
     * Whether a stigma with these alleles, all of which it shows, refuses pollen that shows those: it does when any is
     * the same (sporophytic, hazel: Thompson; Mehlenbacher 1997).
     */
    public boolean refusesSporophytic(SAlleles shown) {
        return shown.alleles.stream().anyMatch(alleles::contains);
    }

    private boolean accepts(String grain) {
        return grain.endsWith(":P")
                || alleles.stream()
                        .noneMatch(own -> !own.endsWith(":S") && bare(own).equals(bare(grain)));
    }

    private static String bare(String allele) {
        int mark = allele.indexOf(':');
        return mark < 0 ? allele : allele.substring(0, mark);
    }
}

package idlebough.core.site;

import idlebough.core.judge.Phrase;
import idlebough.core.judge.Remedy;

/** What can be done about the ground. */
public interface SiteRemedy extends Remedy {
    /** Sets every tree of a crop for which a pit speaks on a footing. */
    record SetOnFooting(Phrase label, String pit, String crop, Footing footing) implements SiteRemedy {}

    /** Leads to what can be done for a crop at a pit. */
    record SeeAnswers(Phrase label, String pit, String crop) implements SiteRemedy {}

    /** Leads to the pit, where tests are entered. */
    record EnterTest(Phrase label, String pit) implements SiteRemedy {}

    /** Leads to the plan with one layer over it. */
    record SeeLayer(Phrase label, Layer layer) implements SiteRemedy {}

    /** Leads to a new pit at a place. */
    record DigPit(Phrase label, Point place) implements SiteRemedy {}

    /** The layers that explain a finding. */
    enum Layer {
        SUN("sun"),
        COLD("cold");
        private final String key;

        Layer(String key) {
            this.key = key;
        }

        public String key() {
            return key;
        }
    }
}

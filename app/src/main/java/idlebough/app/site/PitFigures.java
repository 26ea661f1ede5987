package idlebough.app.site;

import idlebough.core.judge.Amount;
import idlebough.core.judge.Certainty;
import idlebough.core.judge.Source;
import idlebough.core.judge.Working;
import idlebough.core.measure.Quantity;
import idlebough.core.site.SoilPit;

/** Workings of a pit's figures that add up layers. */
final class PitFigures {
    private PitFigures() {}

    static Working held(SoilPit pit) {
        Working.Builder working = Working.of("How {} comes about", Amount.of(pit.waterHeld() / 1000, Quantity.RAIN))
                .step("Roots can use {}: to a pan, to wet ground, or 0.9 m", Amount.cm(pit.rootable()))
                .step(
                        "topsoil, {}: {} in each metre",
                        pit.texture().label(),
                        Amount.of(pit.texture().traits().waterHeld() / 1000, Quantity.RAIN));
        pit.profile()
                .layers()
                .forEach(layer -> working.step(
                        "to {}, {}: {} in each metre",
                        Amount.cm(layer.bottom()),
                        layer.texture().label(),
                        Amount.of(layer.texture().traits().waterHeld() / 1000, Quantity.RAIN)));
        return working.sensitive("Most sensitive to the depth that roots can use.")
                .from(Source.published("Saxton & Rawls 2006, SSSAJ 70:1569", Certainty.SURE));
    }
}

package idlebough.core.crop;

import idlebough.core.judge.Certainty;
import idlebough.core.judge.Source;

/** The ways of counting a winter's cold that this program knows, each with its own unit; totals never convert. */
public enum ChillModel {
    PORTIONS(
            "portions",
            "Dynamic Model",
            "cp",
            Source.published("Fishman, Erez & Couvillon 1987a,b; Erez et al. 1990", Certainty.SURE)),
    UTAH(
            "Utah units",
            "Utah model",
            "utah",
            Source.published("Richardson, Seeley & Walker 1974, HortScience 9:331", Certainty.SURE)),
    HOURS(
            "hours 0–7.2 °C (32–45 °F)",
            "chilling hours between 0 and 7.2 °C (32 and 45 °F)",
            "h",
            Source.published("Weinberger 1950; the floor at 0 °C is the later reading", Certainty.SURE)),
    HOURS_BELOW(
            "hours ≤ 7.2 °C (45 °F)",
            "chilling hours at or below 7.2 °C (45 °F)",
            "hb",
            Source.published("Weinberger 1950, Proc. ASHS 56:122", Certainty.SURE)),
    POSITIVE(
            "positive units",
            "Positive Utah, daily",
            "pcu",
            Source.published("Linsley-Noakes, Allan & Matthee 1994", Certainty.FAIR)),
    CAROLINA(
            "North Carolina units",
            "North Carolina model",
            "nc",
            Source.published("Shaltout & Unrath 1983, JASHS 108:957", Certainty.FAIR)),
    LOW_CHILL(
            "low-chill units",
            "low-chill model",
            "lc",
            Source.published("Gilreath & Buchanan 1981, JASHS 106:426", Certainty.FAIR));

    private final String unit;
    private final String label;
    private final String code;
    private final Source source;

    ChillModel(String unit, String label, String code, Source source) {
        this.unit = unit;
        this.label = label;
        this.code = code;
        this.source = source;
    }

    public String unit() {
        return unit;
    }

    public String label() {
        return label;
    }

    /** The code in the shipped variety table. */
    public String code() {
        return code;
    }

    public Source source() {
        return source;
    }

    /** Whether warm hours take away from the total, so that it may end below zero. */
    public boolean mayFall() {
        return this == UTAH || this == CAROLINA || this == LOW_CHILL;
    }

    /** @throws IllegalArgumentException when no model has this code */
    public static ChillModel ofCode(String code) {
        for (ChillModel model : values()) {
            if (model.code.equals(code)) {
                return model;
            }
        }
        throw new IllegalArgumentException("No chill model has the code " + code + ".");
    }
}

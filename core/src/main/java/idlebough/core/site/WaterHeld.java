package idlebough.core.site;

/**
 * What a soil holds and lets through, from its texture (Saxton & Rawls 2006, SSSAJ 70:1569; valid to about 60 % clay
 * and
 * 8 % organic matter).
 *
 * @param wilting point at 1500 kPa, m³/m³
 * @param fieldCapacity at 33 kPa, m³/m³
 * @param saturation m³/m³
 * @param density of the dry soil, g/cm³
 * @param available mm of water that plants can have per metre of depth, gravel taken out
 * @param conductivity saturated, mm/h, gravel taken out
 */
public record WaterHeld(
        double wilting,
        double fieldCapacity,
        double saturation,
        double density,
        double available,
        double conductivity) {
    private static final double GRAIN = 2.65;

    /**
     * @param sandPercent and clayPercent by mass of the fine earth
     * @param organicPercent by mass
     * @param packing density factor, 0.9 loose to 1.3 hard; 1 is usual
     * @param gravelShare by mass of the whole soil, 0 to below 1
     */
    public static WaterHeld of(
            double sandPercent, double clayPercent, double organicPercent, double packing, double gravelShare) {
        double s = sandPercent / 100;
        double c = clayPercent / 100;
        double om = organicPercent;
        double t = -0.024 * s + 0.487 * c + 0.006 * om + 0.005 * s * om - 0.013 * c * om + 0.068 * s * c + 0.031;
        double wilting = t + 0.14 * t - 0.02;
        t = -0.251 * s + 0.195 * c + 0.011 * om + 0.006 * s * om - 0.027 * c * om + 0.452 * s * c + 0.299;
        double capacity = t + 1.283 * t * t - 0.374 * t - 0.015;
        t = 0.278 * s + 0.034 * c + 0.022 * om - 0.018 * s * om - 0.027 * c * om - 0.584 * s * c + 0.078;
        double saturation = capacity + t + 0.636 * t - 0.107 - 0.097 * s + 0.043;
        double density = GRAIN * (1 - saturation) * packing;
        double packed = 1 - density / GRAIN;
        double packedCapacity = capacity - 0.2 * (saturation - packed);
        double b = (Math.log(1500) - Math.log(33)) / (Math.log(packedCapacity) - Math.log(wilting));
        double conductivity = 1930 * Math.pow(packed - packedCapacity, 3 - 1 / b);
        double alpha = density / GRAIN;
        double stones = alpha * gravelShare / (1 - gravelShare * (1 - alpha));
        return new WaterHeld(
                wilting,
                packedCapacity,
                packed,
                density,
                1000 * (packedCapacity - wilting) * (1 - stones),
                conductivity * (1 - gravelShare) / (1 - gravelShare * (1 - 1.5 * alpha)));
    }
}

package idlebough.core;

import idlebough.core.crop.Catalogue;
import idlebough.core.crop.Crop;
import idlebough.core.crop.Rootstock;
import idlebough.core.crop.Variety;
import idlebough.core.site.DrainageTest;
import idlebough.core.site.Point;
import idlebough.core.site.SoilPit;
import idlebough.core.site.TestHole;
import idlebough.core.site.Texture;
import java.util.List;
import java.util.Optional;

/** What tests take from the shipped catalogue, and pits that drain as wanted. */
public final class Shipped {
    private Shipped() {}

    public static Variety variety(String key) {
        return Catalogue.shipped().variety(key);
    }

    public static Rootstock stock(String key) {
        return Catalogue.shipped().rootstock(key);
    }

    public static Crop crop(String key) {
        return Catalogue.shipped().crop(key);
    }

    /**
     * A pit that drains so fast in a 12-inch hole, mm/h, found in a rectangular one whose level falls from 40 to 20
     * cm.
     */
    public static SoilPit pit(double mmPerHour, Double ph, Texture texture) {
        TestHole hole = new TestHole.Box(0.3, 0.2);
        double hours = hole.infiltrated(0.4, 0.2) / (mmPerHour / 3000);
        return new SoilPit(
                "p",
                "7",
                new Point(1, 1),
                texture,
                0.25,
                List.of(new DrainageTest(
                        hole,
                        0.4,
                        true,
                        false,
                        List.of(new DrainageTest.Reading(0, 0), new DrainageTest.Reading(hours * 60, 0.2)))),
                SoilPit.Profile.UNSEEN,
                acid(ph));
    }

    /** @param ph null when not measured */
    public static SoilPit.Analysis acid(Double ph) {
        return new SoilPit.Analysis(Optional.ofNullable(ph), Optional.empty(), Optional.empty(), false);
    }

    public static SoilPit.Profile panned(double depth) {
        SoilPit.Profile plain = SoilPit.Profile.UNSEEN;
        return new SoilPit.Profile(
                List.of(),
                Optional.of(depth),
                plain.mottles(),
                plain.waterAt(),
                plain.bottom(),
                plain.worms(),
                plain.before());
    }

    /** Not tested, nothing noted. */
    public static SoilPit untested(Texture texture, double topsoil) {
        return new SoilPit(
                "q", "2", new Point(2, 2), texture, topsoil, List.of(), SoilPit.Profile.UNSEEN, SoilPit.Analysis.NONE);
    }

    public static SoilPit pit(double mmPerHour) {
        return pit(mmPerHour, null, Texture.CLAY_LOAM);
    }
}

package idlebough.app.demo;

import idlebough.app.store.Edit;
import idlebough.app.store.FeatureRow;
import idlebough.app.store.PitRow;
import idlebough.app.store.RowKey;
import idlebough.app.store.TestRow;
import idlebough.core.crop.Crop;
import idlebough.core.site.Feature.Kind;
import idlebough.core.site.Feature.Material;
import idlebough.core.site.SoilPit;
import idlebough.core.site.Texture;
import java.util.ArrayList;
import java.util.List;

/** What stands on the two made-up grounds, and what their pits showed. */
final class DemoSites {
    private final List<Edit> edits = new ArrayList<>();
    private final String orchard;

    private DemoSites(String orchard) {
        this.orchard = orchard;
    }

    /** A hill slope that falls to the south-east, with a house above it, a line across a corner, and cold air below. */
    static List<Edit> quillane(String orchard) {
        DemoSites site = new DemoSites(orchard);
        site.draw(Kind.BUILDING, "House", "50 62;62 58;65 67;53 71", 6.5, null, null, null);
        site.draw(Kind.BUILDING, "Shed", "2 2;6 2;6 5;2 5", 2.8, null, null, Material.BOARDS);
        site.draw(Kind.WALL, "North wall", "2 53;47 59", 2.2, null, null, Material.MASONRY);
        site.draw(Kind.HEDGE, "Low hedge", "30 0.8;77 2;78 26", 2.4, 1.2, null, null);
        site.draw(Kind.FENCE, "", "0 0;2 53", 1.3, null, null, Material.WIRE);
        site.draw(Kind.OVERHEAD, "Power line", "58 -6;92 34", 7.0, null, null, null);
        site.draw(Kind.BURIED, "Water main", "49 58;48 30;58 -4", null, null, null, null);
        site.draw(Kind.TREE, "Old oak", "18 -6", 14.0, null, 11.0, null);
        site.draw(Kind.WET, "Slow corner", "66 5;75 5;75 15;68 14", null, null, null, null);
        site.draw(Kind.WELL, "Tap", "46 56", null, null, null, null);
        site.draw(Kind.BEDS, "Vegetables", "8 3;20 3;20 9;8 9", null, null, null, null);
        site.draw(Kind.VIEW, "Kitchen window", "55 61", null, null, null, null);
        double[][] spots = {
            {2, 52, 611.9}, {46, 58, 610.5}, {77, 45, 608.7}, {76, 3, 606.7}, {1, 1, 609.7}, {40, 28, 609.3}
        };
        for (double[] spot : spots) {
            site.draw(Kind.SPOT, "", spot[0] + " " + spot[1], spot[2], null, null, null);
        }
        String one = site.pit(
                "1",
                20,
                40,
                Texture.CLAY_LOAM,
                0.30,
                null,
                6.6,
                "0.6 CLAY_LOAM BROWN 0 1;0.95 CLAY RED 0 0",
                null,
                null);
        site.test(one, "1", false, "0 5;30 11.5;60 17.2;90 22.4");
        site.test(one, "1", true, "0 5;60 11.5;120 17;180 21.6");
        String two = site.pit(
                "2",
                46,
                30,
                Texture.LOAM,
                0.34,
                null,
                6.4,
                "0.7 LOAM BROWN 0 1;1 CLAY_LOAM RED 0 1",
                null,
                "40 80 100");
        site.test(two, "1", true, "0 4;30 9.5;60 14.2;90 18.4");
        String three = site.pit(
                "3", 68, 12, Texture.CLAY_LOAM, 0.22, 0.55, 6.8, "0.55 CLAY PALE 1 1;0.9 CLAY GREY 1 0", 0.45, null);
        site.test(three, "1", true, "0 5;60 7.1;120 9;180 10.8");
        site.test(three, "2", true, "0 4;60 6.6;120 8.9;180 8.7;240 12.4");
        return site.edits;
    }

    /** A walled yard in a town of the south: the house on its shaded side, a gate in the low wall. */
    static List<Edit> terrace(String orchard) {
        DemoSites site = new DemoSites(orchard);
        site.draw(Kind.BUILDING, "House", "0 -7;11 -7;11 -0.3;0 -0.3", 4.8, null, null, Material.MASONRY);
        site.draw(Kind.WALL, "West wall", "0 0;0 16", 1.9, null, null, Material.MASONRY);
        site.draw(Kind.WALL, "North wall", "0 16;11 16", 1.5, null, null, Material.MASONRY);
        site.draw(Kind.WALL, "East wall", "11 16;11 0", 1.9, null, null, Material.MASONRY);
        site.draw(Kind.GATE, "Gate", "10.2 16", null, null, null, null);
        site.draw(Kind.BURIED, "Sewer", "-2.8 -1;-2.8 17", null, null, null, null);
        site.draw(Kind.TREE, "Neighbour’s tree", "-4.5 11", 8.0, null, 5.0, null);
        site.draw(Kind.WINDOW, "Neighbour’s window", "13 9", null, null, null, null);
        site.draw(Kind.WELL, "Tap", "10.4 0.6", null, null, null, null);
        site.draw(Kind.BEDS, "Herbs", "4.4 4.6;6.8 4.6;6.8 6.4;4.4 6.4", null, null, null, null);
        site.draw(Kind.PATH, "", "5.5 0;5.5 4", null, 1.0, null, null);
        String one = site.pit(
                "1", 6.5, 10.5, Texture.CLAY, 0.24, 0.45, 6.2, "0.45 CLAY BROWN 0 1;0.8 CLAY GREY 1 0", 0.45, null);
        site.test(one, "1", true, "0 5;60 7.2;120 9.3;180 11.2");
        return site.edits;
    }

    private void draw(
            Kind kind, String name, String points, Double height, Double width, Double crown, Material material) {
        boolean tap = kind == Kind.WELL;
        edits.add(Edit.add(new FeatureRow(
                RowKey.fresh(orchard),
                kind,
                name,
                points,
                new FeatureRow.Body(
                        height, width, crown, false, kind.usualClearance().orElse(null)),
                material,
                null,
                new FeatureRow.Supply(tap ? 18.0 : null, tap ? 280.0 : null))));
    }

    private String pit(
            String label,
            double x,
            double y,
            Texture texture,
            double topsoil,
            Double pan,
            double ph,
            String layers,
            Double mottles,
            String jar) {
        boolean old = label.equals("2");
        PitRow row = new PitRow(
                RowKey.fresh(orchard),
                label,
                new PitRow.Place(x, y),
                new PitRow.Soil(texture, topsoil, pan, layers, SoilPit.Colour.DARK, jar),
                new PitRow.Chemistry(ph, null, label.equals("3") ? 1.8 : 3.1, false),
                new PitRow.Water(mottles, null),
                new PitRow.Before(old ? Crop.Kind.POME : null, old ? 12.0 : null, false),
                new PitRow.Seen(1.0, mottles == null, null));
        edits.add(Edit.add(row));
        return row.id();
    }

    /** Readings as minutes and centimetres, as a grower writes them. */
    private void test(String pit, String label, boolean second, String readings) {
        StringBuilder metres = new StringBuilder();
        for (String reading : readings.split(";")) {
            String[] pair = reading.split(" ");
            metres.append(metres.isEmpty() ? "" : ";")
                    .append(pair[0])
                    .append(' ')
                    .append(Double.parseDouble(pair[1]) / 100);
        }
        edits.add(Edit.add(new TestRow(
                RowKey.fresh(orchard),
                pit,
                label,
                new TestRow.Hole(TestRow.Shape.CYLINDER, 0.30, null, 0.40),
                new TestRow.Filling(second, false, false, null),
                null,
                metres.toString())));
    }
}

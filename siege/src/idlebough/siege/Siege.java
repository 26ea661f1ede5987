package idlebough.siege;

import java.nio.file.Path;
import java.util.Map;
import java.util.Random;

/** Besieges a server of its own: see siege/run. */
public final class Siege {
    private Siege() {}

    public static void main(String[] arguments) throws Exception {
        if (arguments.length < 2 || !arguments[1].matches("\\d{1,7}")) {
            throw new IllegalArgumentException("siege/run kills|power|fuzz|load|growers NUMBER [SEED]");
        }
        int number = Integer.parseInt(arguments[1]);
        long seed = arguments.length > 2 ? Long.parseLong(arguments[2]) : System.currentTimeMillis();
        System.out.println("Seed " + seed);
        Counts counts = new Counts(Path.of("siege/counts.tsv"));
        Random random = new Random(seed);
        if (arguments[0].equals("power")) {
            try (Power power = new Power(counts, random, arguments.length > 3 ? arguments[3] : "1")) {
                power.rounds(number);
            }
            System.out.print(counts);
            return;
        }
        boolean demo = !arguments[0].equals("kills");
        try (Server server = new Server(demo, Map.of())) {
            switch (arguments[0]) {
                case "kills" -> new Kills(server, counts, random).rounds(number);
                case "fuzz" -> new Fuzz(server, counts, random).requests(number);
                case "load" -> new Load(server, counts, random).atOnce(16, 2, number, 0);
                case "growers" -> new Load(server, counts, random).atOnce(number, 0, 60, 8);
                default -> throw new IllegalArgumentException("There is no siege called " + arguments[0] + ".");
            }
        }
        System.out.print(counts);
    }
}

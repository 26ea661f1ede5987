package idlebough.siege;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.util.Map;
import java.util.TreeMap;
import java.util.stream.Collectors;

/** What was counted in all runs together, kept in a file after every round so that a run can be broken off. */
final class Counts {
    private final Path file;
    private final Map<String, Long> counted = new TreeMap<>();

    Counts(Path file) throws IOException {
        this.file = file;
        if (Files.exists(file)) {
            for (String line : Files.readAllLines(file)) {
                String[] part = line.split("\t");
                counted.put(part[0], Long.parseLong(part[1]));
            }
        }
    }

    synchronized void add(String what, long more) {
        counted.merge(what, more, Long::sum);
    }

    synchronized void keep() throws IOException {
        Path next = file.resolveSibling(file.getFileName() + ".next");
        Files.writeString(next, toString(), StandardCharsets.UTF_8);
        Files.move(next, file, StandardCopyOption.REPLACE_EXISTING, StandardCopyOption.ATOMIC_MOVE);
    }

    @Override
    public synchronized String toString() {
        return counted.entrySet().stream()
                .map(each -> each.getKey() + "\t" + each.getValue() + "\n")
                .collect(Collectors.joining());
    }
}

package idlebough.app.web;

import java.util.ArrayList;
import java.util.List;

/** The keys of one page, for the help. */
final class PageKeys {
    private PageKeys() {}

    /** @param what it does here */
    public record Key(String key, String what) {}

    /** @param here null for a page that belongs to no stage */
    static List<Key> of(StagePage here) {
        List<Key> keys = new ArrayList<>();
        keys.add(new Key("1 – 9, 0", "to a stage, in the order of the work"));
        keys.add(new Key("j, k", steps(here)));
        if (here != null) {
            keys.add(new Key("=", "the working of the key figure"));
        }
        keys.add(new Key(".", "the first remedy"));
        if (here == StagePage.LAYOUT || here == StagePage.SITE) {
            keys.add(new Key("arrows", "nudge what has the focus 10 cm, with Shift 1 m"));
        }
        if (here == StagePage.SITE) {
            keys.add(new Key("Enter", "while drawing: a point; Backspace takes one back, F ends, Esc leaves"));
            keys.add(new Key("Space", "picks several; Delete takes out"));
        }
        keys.add(new Key("u", "undoes the last change"));
        keys.add(new Key("/", "finds a tree, a variety, a pit, a page or a figure"));
        keys.add(new Key("?", "this list; Esc closes it"));
        return keys;
    }

    private static String steps(StagePage here) {
        if (here == null) {
            return "next and previous line";
        }
        return switch (here) {
            case SITE -> "next and previous pit";
            case WINTERS -> "next and previous winter";
            case VARIETIES -> "next and previous variety of the shortlist";
            case ROOTSTOCKS -> "next and previous variety that wants a stock";
            case ALMANAC -> "next and previous task";
            default -> "next and previous tree";
        };
    }
}

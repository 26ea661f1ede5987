package idlebough.core.layout;

import idlebough.core.judge.Phrase;
import idlebough.core.judge.Remedy;
import idlebough.core.site.Point;

/** What can be done about a place. */
public interface LayoutRemedy extends Remedy {
    /** Moves a tree. */
    record MoveTree(Phrase label, String tree, Point to) implements LayoutRemedy {}

    /** Lets a filler stay, so that it is asked like any other whether it has room. */
    record LetStay(Phrase label, String tree) implements LayoutRemedy {}

    /** Opens the pegging list at a peg. */
    record SeePeg(Phrase label, String tree) implements LayoutRemedy {}
}

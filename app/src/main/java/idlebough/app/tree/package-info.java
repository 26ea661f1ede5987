/** Trees in elevation, drawn in ink from their figures: no picture is stored. */
package idlebough.app.tree;

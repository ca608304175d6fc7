/**
 * Measures pictures to find what is in them: edges and horizons. What follows from what is measured is {@code core.find}'s
 * matter. The window and the commands may use it. Start at {@link nexa.imaging.find.LevelFinder}.
 */
package nexa.imaging.find;

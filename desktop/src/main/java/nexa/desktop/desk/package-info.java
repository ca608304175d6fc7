/**
 * The desk below the stage: its parts for the level, the guides, the crop in numbers and its place in the set. Each part shows
 * what it is given and asks for what is to be done through its own {@code Actions}; only the easel may use it. Start at {@link
 * nexa.desktop.desk.Desk}.
 */
package nexa.desktop.desk;

/**
 * Where one photo lies large, with its crop: its pictures read and drawn as it moves, and what lies over them. Knows nothing of
 * the shoot or of what the hand does; only the easel, its tools and its desk may use it. Start at {@link nexa.desktop.stage.PhotoStage}.
 */
package nexa.desktop.stage;

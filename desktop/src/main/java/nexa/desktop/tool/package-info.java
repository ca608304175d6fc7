/**
 * The easel's tools, and what they have in common: the {@link nexa.desktop.tool.Easel} they are handed, what the hand does there,
 * and the one interface behind which each stands, {@link nexa.desktop.tool.EaselTool}. A tool is a package below this one with its
 * page of the desk, its bar and its keys; what it does by hand leads to {@code CropGestures} and {@code PhotoGestures}.
 */
package nexa.desktop.tool;

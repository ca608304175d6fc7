/** The perspective: by scales, by numbers, by lines that are at hand on the stage. */
package nexa.desktop.tool.perspective;

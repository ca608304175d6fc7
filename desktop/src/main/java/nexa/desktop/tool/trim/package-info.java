/** The trim: by numbers, by handles, by the border that is found. */
package nexa.desktop.tool.trim;

/** The level: found, traced by lines, set by the scale. */
package nexa.desktop.tool.level;

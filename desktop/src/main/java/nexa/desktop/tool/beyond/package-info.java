/** What of a crop lies beyond its photo. */
package nexa.desktop.tool.beyond;

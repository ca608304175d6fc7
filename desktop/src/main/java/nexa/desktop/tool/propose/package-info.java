/** Crops proposed for the photo worked on. */
package nexa.desktop.tool.propose;

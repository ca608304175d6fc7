/** The vignette that is wanted, whatever the lens made. */
package nexa.desktop.tool.vignette;

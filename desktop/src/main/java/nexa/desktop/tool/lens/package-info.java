/** The lens: what is known of it, and lines that should be straight. */
package nexa.desktop.tool.lens;

/** The photo's subject. */
package nexa.desktop.tool.subject;

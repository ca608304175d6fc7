/** The crop itself: by keys, drawn anew, in numbers, in print. */
package nexa.desktop.tool.crop;

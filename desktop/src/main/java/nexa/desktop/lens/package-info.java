/** Choosing lenses: which one took a photo, and putting those of many photos right. The views may use it. */
package nexa.desktop.lens;

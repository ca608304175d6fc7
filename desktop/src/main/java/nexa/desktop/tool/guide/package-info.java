/** What is seen over and around the picture: guides, mat, surround; and how the easel holds. */
package nexa.desktop.tool.guide;

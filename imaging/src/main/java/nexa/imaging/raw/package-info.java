/** Makes pictures of raw files, by a command of its own, that are framed and toned as the camera's pictures of them. */
package nexa.imaging.raw;

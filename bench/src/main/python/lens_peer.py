"""Where the library of the open lens data (Debian: liblensfun1) reads red, green and blue for places of the corrected picture.

Each line of the input: file of the lens, crop factor of the camera, width, height, focal length, then x and y of places, counted
by the pixels' middles. Each line of the output: x and y of red, green and blue for each place.
"""

import ctypes
import sys

TCA_AND_DISTORTION = 1 | 8
EIGHT_BITS = 0
RECTILINEAR = 1

library = ctypes.CDLL("liblensfun.so.1")
for name in ("lf_db_new", "lf_db_get_lenses", "lf_modifier_new"):
    getattr(library, name).restype = ctypes.c_void_p
pointer, real, whole = ctypes.c_void_p, ctypes.c_float, ctypes.c_int
library.lf_db_load_file.argtypes = [pointer, ctypes.c_char_p]
library.lf_db_get_lenses.argtypes = [pointer]
library.lf_modifier_new.argtypes = [pointer, real, whole, whole]
library.lf_modifier_initialize.argtypes = [pointer, pointer, whole, real, real, real, real, whole, whole, whole]
library.lf_modifier_apply_subpixel_geometry_distortion.argtypes = [
    pointer, real, real, whole, whole, ctypes.POINTER(real)]
library.lf_modifier_destroy.argtypes = [pointer]
library.lf_db_destroy.argtypes = [pointer]

for line in sys.stdin:
    file, crop, width, height, focal, *places = line.rstrip("\n").split("\t")
    database = library.lf_db_new()
    library.lf_db_load_file(database, file.encode())
    lens = ctypes.cast(library.lf_db_get_lenses(database), ctypes.POINTER(ctypes.c_void_p))[0]
    modifier = library.lf_modifier_new(lens, float(crop), int(width), int(height))
    library.lf_modifier_initialize(
        modifier, lens, EIGHT_BITS, float(focal), 8.0, 1000.0, 1.0, RECTILINEAR, TCA_AND_DISTORTION, 0)
    read = []
    for x, y in zip(places[::2], places[1::2]):
        colours = (ctypes.c_float * 6)()
        library.lf_modifier_apply_subpixel_geometry_distortion(modifier, float(x), float(y), 1, 1, colours)
        read.extend(colours)
    print("\t".join(repr(value) for value in read), flush=True)
    library.lf_modifier_destroy(modifier)
    library.lf_db_destroy(database)

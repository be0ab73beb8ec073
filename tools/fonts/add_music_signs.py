#!/usr/bin/env python3
"""Adds flat, natural, sharp and quarter-note signs to the Inter font, as the family "Phalanx Sans".

Inter has no music signs, and a screen that borrows them from whatever font the system has looks
different on every machine. Run by hand when the font is renewed; needs fontTools.

    add_music_signs.py Inter-Regular.ttf PhalanxSans-Regular.ttf Regular 400
"""
import sys

from fontTools.pens.ttGlyphPen import TTGlyphPen
from fontTools.ttLib import TTFont


def polygon(pen, points):
    pen.moveTo(points[0])
    for point in points[1:]:
        pen.lineTo(point)
    pen.closePath()


def slanted(pen, left, right, bottom, rise, thick):
    polygon(pen, [(left, bottom), (left, bottom + thick), (right, bottom + rise + thick), (right, bottom + rise)])


def upright(pen, x, bottom, top, thick):
    polygon(pen, [(x, bottom), (x, top), (x + thick, top), (x + thick, bottom)])


def sharp(pen, u, stem, beam):
    for x in (0.20, 0.40):
        upright(pen, x * u, (-0.10 + (x - 0.2) * 0.3) * u, (0.72 + (x - 0.2) * 0.3) * u, stem)
    for y in (0.16, 0.40):
        slanted(pen, 0.08 * u, 0.56 * u, y * u, 0.08 * u, beam)
    return 0.64 * u


def natural(pen, u, stem, beam):
    upright(pen, 0.10 * u, 0.10 * u, 0.80 * u, stem)
    upright(pen, 0.36 * u, -0.16 * u, 0.54 * u, stem)
    for y in (0.12, 0.40):
        slanted(pen, 0.10 * u, 0.36 * u + stem, y * u, 0.06 * u, beam)
    return 0.52 * u


def flat(pen, u, stem, beam):
    upright(pen, 0.08 * u, -0.02 * u, 0.80 * u, stem)
    bowl = stem * 1.1
    pen.moveTo((0.08 * u, -0.02 * u))
    pen.qCurveTo((0.46 * u, 0.16 * u), (0.46 * u, 0.34 * u))
    pen.qCurveTo((0.46 * u, 0.48 * u), (0.32 * u, 0.48 * u))
    pen.qCurveTo((0.20 * u, 0.48 * u), (0.08 * u + stem, 0.38 * u))
    pen.lineTo((0.08 * u + stem, 0.38 * u - bowl))
    pen.qCurveTo((0.22 * u, 0.48 * u - bowl), (0.28 * u, 0.48 * u - bowl))
    pen.qCurveTo((0.46 * u - bowl * 1.15, 0.48 * u - bowl), (0.46 * u - bowl * 1.15, 0.33 * u))
    pen.qCurveTo((0.46 * u - bowl * 1.2, 0.20 * u), (0.08 * u + stem, 0.09 * u))
    pen.closePath()
    return 0.54 * u


def quarter(pen, u, stem, beam):
    cx, cy, rx, ry = 0.22 * u, 0.10 * u, 0.17 * u, 0.13 * u
    pen.moveTo((cx + rx, cy + 0.03 * u))
    pen.qCurveTo((cx + rx, cy - ry * 0.8), (cx - rx * 0.2, cy - ry))
    pen.qCurveTo((cx - rx, cy - ry), (cx - rx, cy - 0.03 * u))
    pen.qCurveTo((cx - rx, cy + ry * 0.8), (cx + rx * 0.2, cy + ry))
    pen.qCurveTo((cx + rx, cy + ry), (cx + rx, cy + 0.03 * u))
    pen.closePath()
    upright(pen, cx + rx - stem, cy, 0.80 * u, stem)
    return 0.48 * u


def main(source, target, style, weight):
    font = TTFont(source)
    unit = font["head"].unitsPerEm
    stem = unit * (0.052 + 0.03 * (int(weight) - 400) / 300)
    beam = stem * 1.7
    signs = {0x266D: ("flat", flat), 0x266E: ("natural", natural), 0x266F: ("sharp", sharp), 0x2669: ("quarternote", quarter)}
    order = font.getGlyphOrder()
    for code, (name, draw) in signs.items():
        pen = TTGlyphPen(None)
        width = draw(pen, unit, stem, beam)
        glyph = pen.glyph()
        font["glyf"][name] = glyph
        glyph.recalcBounds(font["glyf"])
        font["hmtx"][name] = (round(width), glyph.xMin)
        for table in font["cmap"].tables:
            if table.isUnicode():
                table.cmap[code] = name
        if name not in order:
            order.append(name)
    font.setGlyphOrder(list(dict.fromkeys(font.getGlyphOrder())))
    # A slanted cut is a family of its own: JavaFX would take it for the upright heavier one.
    family = "Phalanx Sans Letters" if "Italic" in style else "Phalanx Sans"
    names = {1: family, 2: style, 4: family + " " + style, 6: family.replace(" ", "") + "-" + style.replace(" ", "")}
    for record in list(font["name"].names):
        if record.nameID in (16, 17, 21, 22, 25):
            font["name"].removeNames(nameID=record.nameID)
    for number, text in names.items():
        font["name"].setName(text, number, 3, 1, 0x409)
        font["name"].setName(text, number, 1, 0, 0)
    font["OS/2"].usWeightClass = int(weight)
    # The flags must say what the names say, or the cuts are taken for each other.
    bold, italic = "Bold" in style, "Italic" in style
    font["head"].macStyle = bold + 2 * italic
    kept = font["OS/2"].fsSelection & ~0x61
    font["OS/2"].fsSelection = kept | 0x20 * bold | 0x01 * italic | 0x40 * (not bold and not italic)
    font.save(target)


main(*sys.argv[1:])

#!/usr/bin/env bash
# Makes the two sheets of the demo that come as pixels, after draw.mjs: a noisy scan at 300 dpi and a page of A4 at 600 dpi.
# Needs ImageMagick with an SVG reader (apt-get install imagemagick librsvg2-bin). Run it only when their drawings have changed.
set -euo pipefail
here=$(cd "$(dirname "$0")" && pwd)
demo=$here/demo
work=$(mktemp -d)
trap 'rm -rf "$work"' EXIT

rsvg-convert -w 7016 -h 4961 "$here/nightDelivery.svg" -o "$work/print.png"
/usr/bin/convert "$work/print.png" -colorspace Gray -depth 8 -define png:compression-level=9 -strip "$demo/nightDelivery.png"

# Yellowed paper with a shadow from the lower left, soft strokes, grain.
rsvg-convert -w 3508 -h 2480 "$here/lanternHill.svg" -o "$work/scan.png"
/usr/bin/convert -size 3508x2480 gradient:'#f6f1e4'-'#d3cab6' -distort SRT 24 -resize 3508x2480\! "$work/paper.png"
/usr/bin/convert "$work/scan.png" -blur 0x1.1 -level 0%,100% "$work/paper.png" -compose Multiply -composite \
  -seed 7 -attenuate 0.22 +noise Gaussian -strip -quality 72 "$demo/lanternHill.jpg"

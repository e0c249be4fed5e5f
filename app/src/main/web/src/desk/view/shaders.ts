/** One tile of the sheet as two triangles. */
export const VERTEX = `#version 300 es
uniform vec4 tile;       // x, y, width, height in sheet pixels
uniform vec3 placing;    // scale, x, y: sheet to device pixels
uniform vec2 viewport;   // device pixels
out vec2 at;             // sheet pixels
void main() {
  vec2 corner = vec2(gl_VertexID & 1, gl_VertexID >> 1);
  at = tile.xy + corner * tile.zw;
  vec2 device = at * placing.x + placing.yz;
  gl_Position = vec4(device / viewport * vec2(2, -2) + vec2(-1, 1), 0, 1);
}`;

const TILE = `
precision highp float;
precision highp int;
precision highp usampler2D;
uniform usampler2D cells;   // the cell of each pixel of the tile; each further level holds every second pixel of the one before
uniform sampler2D ink;      // density of ink
uniform sampler2D colours;  // colour and opacity by cell
uniform usampler2D marks;   // by cell: bit 0 pointed at, bit 1 a ripple runs there, bit 2 gathered, bit 3 lit up
uniform vec4 tile;
uniform vec3 placing;
uniform float inkShown;     // 0 to 1
uniform float flatsShown;   // 0 to 1
uniform int cellLevel;      // the level of cells that is about as fine as the screen
in vec2 at;
out vec4 colour;

// Premultiplied, as all colours here are; where other layers lie behind, nothing takes the place of paper.
#ifdef CLEAR
const vec4 PAPER = vec4(0.0);
#else
const vec4 PAPER = vec4(1.0);
#endif
const int TABLE_WIDTH = 1024;

ivec2 entry(uint cell) {
  return ivec2(int(cell) % TABLE_WIDTH, int(cell) / TABLE_WIDTH);
}

uint cellAt(vec2 p) {
  ivec2 last = (ivec2(tile.zw) - 1) >> cellLevel;
  return texelFetch(cells, clamp(ivec2(floor(p - tile.xy)) >> cellLevel, ivec2(0), last), cellLevel).r;
}

vec4 flatOf(uint cell) {
  vec4 fill = texelFetch(colours, entry(cell), 0);
  return mix(PAPER, vec4(fill.rgb, 1), fill.a * flatsShown);
}

float inkAt(vec2 p) {
  return texture(ink, (p - tile.xy) / tile.zw).r;
}

bool marked(vec2 p, uint bit) {
  return (texelFetch(marks, entry(cellAt(p)), 0).r & bit) != 0u;
}
`;

/**
 * The sheet itself. Every way of looking is a program of its own (CLEAR where other layers lie behind, FINE, CUT, GREYS, LOOKS where cells wear fills of several
 * colours, LINES where ink is coloured, SOFT where its colours run into each other far enough to be seen): drawing in software runs both sides of a condition for every pixel.
 */
export const SHEET = `${TILE}
uniform float inkCut;       // ink is all or nothing from this density on

#ifdef LOOKS
precision highp sampler2DArray;
uniform sampler2D lookOfCell;   // by cell, in red and green: the number of its look plus 1; 0: it has one colour
uniform sampler2D lookColours;  // a row for each look
uniform sampler2D lookPlaces;   // a row for each look: its span; then kind (0 linear, 1 radial, 2 pattern), 1 mirrored + 2 flipped, layer of motifs, height of a repeat
uniform sampler2DArray motifs;  // shares of the second, third and fourth colour

vec4 patternAt(int look, vec4 span, vec4 how, vec2 p) {
  vec2 along = span.zw - span.xy;
  float side = length(along);
  vec2 unit = along / side;
  vec2 q = p - span.xy;
  vec2 uv = vec2(dot(q, unit), dot(q, vec2(-unit.y, unit.x))) / side;
  uv.y /= how.w;
  uv = mix(uv, -uv, vec2(mod(how.y, 2.0) > 0.5, how.y > 1.5));
  float level = log2(float(textureSize(motifs, 0).x) / (side * placing.x));
  vec3 shares = textureLod(motifs, vec3(uv, how.z), max(0.0, level)).rgb;
  float first = max(0.0, 1.0 - shares.r - shares.g - shares.b);
  vec4 colour = first * texelFetch(lookColours, ivec2(0, look), 0);
  for (int ink = 0; ink < 3; ink++) {
    colour += shares[ink] * texelFetch(lookColours, ivec2(ink + 1, look), 0);
  }
  return colour / (first + shares.r + shares.g + shares.b);
}

vec4 gradientAt(int look, vec4 span, vec4 how, vec2 p) {
  vec2 along = span.zw - span.xy;
  vec2 q = p - span.xy;
  float share = how.x < 0.5 ? dot(q, along) / dot(along, along) : length(q) / length(along);
  return texelFetch(lookColours, ivec2(int(round(clamp(share, 0.0, 1.0) * 255.0)), look), 0);
}

vec4 paintAt(vec2 p) {
  uint cell = cellAt(p);
  vec4 number = texelFetch(lookOfCell, entry(cell), 0);
  int look = int(round(number.r * 255.0)) + 256 * int(round(number.g * 255.0)) - 1;
  if (look < 0) return flatOf(cell);
  vec4 span = texelFetch(lookPlaces, ivec2(0, look), 0);
  vec4 how = texelFetch(lookPlaces, ivec2(1, look), 0);
  vec4 colour = how.x > 1.5 ? patternAt(look, span, how, p) : gradientAt(look, span, how, p);
  return mix(PAPER, vec4(colour.rgb, 1), colour.a * flatsShown);
}
#else
vec4 paintAt(vec2 p) {
  return flatOf(cellAt(p));
}
#endif

#ifdef LINES
uniform usampler2D strokes;     // the stroke of each pixel of the plane of strokes, from this tile on
uniform sampler2D inkColours;   // by stroke; alpha: the density from which on its ink is opaque
uniform usampler2D strokeMarks; // by stroke: bit 0 pointed at, bit 1 meant by an act, bit 2 gathered
uniform vec4 strokePlacing;     // x, y of the tile in the plane of strokes; that many of its pixels across and down for one of the sheet
uniform float meeting;          // within this many sheet pixels colours that meet are mixed
uniform vec2 taps[16];          // in a disc of radius 1

uint strokeAt(vec2 p) {
  ivec2 last = textureSize(strokes, 0) - 1;
  return texelFetch(strokes, clamp(ivec2(floor(p * strokePlacing.zw) - strokePlacing.xy), ivec2(0), last), 0).r;
}

// Ink over what lies under it.
vec4 inked(vec4 flats, vec2 p, float density) {
  ivec2 own = entry(strokeAt(p));
  vec4 worn = texelFetch(inkColours, own, 0);
  vec3 shown = worn.rgb;
#ifdef SOFT
  // No steps where there is no ink: a loop is left out there, which a condition is not.
  int steps = density > 0.0 ? 16 : 0;
  vec3 sum = vec3(0);
  for (int tap = 0; tap < steps; tap++) {
    sum += texelFetch(inkColours, entry(strokeAt(p + taps[tap] * meeting)), 0).rgb;
  }
  shown = sum / 16.0;
#endif
  uint mark = texelFetch(strokeMarks, own, 0).r;
  bool light = mod(gl_FragCoord.x + gl_FragCoord.y, 7.0) < 3.5;
  shown = (mark & 1u) != 0u ? vec3(light ? 1.0 : 0.09) : (mark & 6u) != 0u && light ? vec3(0.62) : shown;
  return mix(flats, vec4(shown, 1), min(1.0, density / worn.a) * inkShown);
}
#endif

void main() {
#ifdef FINE
  float reach = 0.25 / placing.x;
  vec4 flats = 0.25 * (paintAt(at - reach) + paintAt(at + reach)
    + paintAt(at + vec2(reach, -reach)) + paintAt(at + vec2(-reach, reach)));
#else
  vec4 flats = paintAt(at);
#endif
  float density = inkAt(at);
#ifdef CUT
  float soft = min(0.15, 0.05 / placing.x);
  density = smoothstep(inkCut - soft, inkCut + 0.004, density);
#endif
#ifdef LINES
  vec4 shown = inked(flats, at, density);
#else
  vec4 shown = mix(flats, vec4(0, 0, 0, 1), density * inkShown);
#endif
#ifdef GREYS
  // CIE lightness, so that equal steps of grey are equal steps of value.
  vec3 seen = shown.rgb / max(shown.a, 0.004);
  vec3 linear = mix(seen / 12.92, pow((seen + 0.055) / 1.055, vec3(2.4)), step(0.04045, seen));
  float y = dot(linear, vec3(0.2126, 0.7152, 0.0722));
  shown.rgb = shown.a * vec3(y > 0.008856 ? 1.16 * pow(y, 1.0 / 3.0) - 0.16 : 9.033 * y);
#endif
  colour = shown;
}`;

/** A ring of light that runs out from where a fill was laid, under the ink. */
export const RIPPLE = `${TILE}
uniform vec4 ripple;        // x, y, radius in sheet pixels; strength

void main() {
  if (!marked(at, 2u)) discard;
  float away = abs(distance(at, ripple.xy) - ripple.z) * placing.x;
  colour = vec4(1, 1, 1, ripple.w * smoothstep(5.0, 0.0, away) * (1.0 - inkAt(at) * inkShown));
}`;

/** Rings inside the border of the cells pointed at. */
export const OUTLINE = `${TILE}
uniform float strokePx;     // width of a stroke, in sheet pixels
uniform float hatched;      // 1: too small for rings

// Whether a circle around a place leaves the marked cells.
bool leaves(vec2 p, float radius, int steps) {
  for (int step = 0; step < steps; step++) {
    float angle = float(step) * 6.2831853 / float(steps);
    if (!marked(p + vec2(cos(angle), sin(angle)) * radius, 1u)) return true;
  }
  return false;
}

// The nearest ring that reaches this far; 0 if none does. Cells meet in the middle of the ink, so the rings start half a stroke
// further in. Ink that the cells run around on both sides, such as a wrinkle, has no ring.
int ringAt(vec2 p) {
  float radii[4] = float[4](1.4, 2.8, 6.2, 7.6);
  float drawnIn = 0.6 * strokePx;
  if (!leaves(p, radii[3] / placing.x + drawnIn, 8)) return 0;
  for (int ring = 0; ring < 4; ring++) {
    if (leaves(p, radii[ring] / placing.x + drawnIn, 16)) return ring + 1;
  }
  return 0;
}

void main() {
  if (!marked(at, 1u) || inkAt(at) > 0.5) discard;
  if (hatched > 0.5) {
    bool dark = mod(gl_FragCoord.x + gl_FragCoord.y, 7.0) < 3.0;
    colour = vec4(vec3(dark ? 0.09 : 1.0), 1);
    return;
  }
  int ring = ringAt(at);
  if (ring == 0 || ring == 3) discard;
  bool bright = dot(flatOf(cellAt(at)).rgb, vec3(0.33)) > 0.5;
  colour = ring == 1 ? vec4(1) : ring == 2 ? vec4(vec3(0.09), 1) : vec4(vec3(bright ? 0 : 1), 0.28);
}`;

/** Stripes over gathered cells, of the screen and not of the sheet, under the ink. */
export const GATHERED = `${TILE}
void main() {
  if (!marked(at, 4u)) discard;
  bool bright = dot(flatOf(cellAt(at)).rgb, vec3(0.33)) > 0.5;
  float stripe = step(mod(gl_FragCoord.x + gl_FragCoord.y, 9.0), 2.5);
  colour = vec4(vec3(bright ? 0 : 1), stripe * 0.62 * (1.0 - inkAt(at) * inkShown));
}`;

/** Everything but the cells lit up, as pale values. */
export const DIMMED = `${TILE}
void main() {
  if (marked(at, 8u)) discard;
  float value = dot(flatOf(cellAt(at)).rgb, vec3(0.2126, 0.7152, 0.0722));
  colour = vec4(vec3(mix(value, 0.86, 0.55) * (1.0 - 0.6 * inkAt(at) * inkShown)), 1);
}`;

export const VERTEX = `#version 300 es
// One tile of the sheet as two triangles.
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

export const FRAGMENT = `#version 300 es
precision highp float;
precision highp int;
precision highp usampler2D;
uniform usampler2D cells;   // the cell of each pixel of the tile
uniform sampler2D ink;      // density of ink
uniform sampler2D colours;  // colour and opacity by cell
uniform usampler2D marks;   // by cell: bit 0 pointed at, bit 1 a ripple runs there
uniform vec4 tile;
uniform vec3 placing;
uniform float strokePx;     // width of a stroke, in sheet pixels
uniform vec4 ripple;        // x, y, radius in sheet pixels; strength
uniform float greys;        // 1: show values only
uniform float inkShown;     // 0 to 1
uniform float flatsShown;   // 0 to 1
uniform float inkCut;       // above 0: ink is all or nothing from this density on
in vec2 at;
out vec4 colour;

const vec3 PAPER = vec3(1.0);
const int TABLE_WIDTH = ${1024};

ivec2 entry(uint cell) {
  return ivec2(int(cell) % TABLE_WIDTH, int(cell) / TABLE_WIDTH);
}

uint cellAt(vec2 p) {
  ivec2 size = textureSize(cells, 0);
  return texelFetch(cells, clamp(ivec2(floor(p - tile.xy)), ivec2(0), size - 1), 0).r;
}

vec3 flatAt(vec2 p) {
  vec4 fill = texelFetch(colours, entry(cellAt(p)), 0);
  return mix(PAPER, fill.rgb, fill.a * flatsShown);
}

float inkAt(vec2 p) {
  float density = texture(ink, (p - tile.xy) / tile.zw).r;
  if (inkCut == 0.0) return density;
  float soft = min(0.15, 0.5 / placing.x * 0.1);
  return smoothstep(inkCut - soft, inkCut + 0.004, density);
}

bool marked(vec2 p, uint bit) {
  return (texelFetch(marks, entry(cellAt(p)), 0).r & bit) != 0u;
}

bool pointedAt(vec2 p) {
  return marked(p, 1u);
}

// The nearest ring inside the border of the marked cells that reaches this far; 0 if none does. Cells meet in the middle of the ink,
// so the rings start half a stroke further in. Ink that the cells run around on both sides, such as a wrinkle, has no ring.
int ringAt(vec2 p, float sheetPx) {
  float radii[4] = float[4](1.4, 2.8, 6.2, 7.6);
  for (int ring = 0; ring < 4; ring++) {
    float radius = radii[ring] * sheetPx + 0.6 * strokePx;
    for (int step = 0; step < 16; step++) {
      float angle = float(step) * 0.3926991;
      if (!pointedAt(p + vec2(cos(angle), sin(angle)) * radius)) return ring + 1;
    }
  }
  return 0;
}

void main() {
  float sheetPx = 1.0 / placing.x;
  int n = sheetPx > 2.5 ? 3 : sheetPx > 1.0 ? 2 : 1;
  vec3 flats = vec3(0);
  for (int j = 0; j < n; j++) {
    for (int i = 0; i < n; i++) {
      vec2 offset = (vec2(i, j) + 0.5) / float(n) - 0.5;
      flats += flatAt(at + offset * sheetPx);
    }
  }
  flats /= float(n * n);

  float density = inkAt(at) * inkShown;
  if (ripple.w > 0.0 && marked(at, 2u)) {
    float away = abs(distance(at, ripple.xy) - ripple.z) * placing.x;
    flats = mix(flats, vec3(1), ripple.w * smoothstep(5.0, 0.0, away));
  }
  vec3 shown = flats * (1.0 - density);
  if (greys > 0.5) {
    // CIE lightness, so that equal steps of grey are equal steps of value.
    vec3 linear = mix(shown / 12.92, pow((shown + 0.055) / 1.055, vec3(2.4)), step(0.04045, shown));
    float y = dot(linear, vec3(0.2126, 0.7152, 0.0722));
    float lightness = y > 0.008856 ? 1.16 * pow(y, 1.0 / 3.0) - 0.16 : 9.033 * y;
    shown = vec3(lightness);
  }
  if (pointedAt(at) && inkAt(at) <= 0.5) {
    int ring = ringAt(at, sheetPx);
    if (ring == 1) shown = vec3(1);
    else if (ring == 2) shown = vec3(0.09);
    else if (ring == 4) shown = mix(shown, dot(shown, vec3(0.33)) > 0.5 ? vec3(0) : vec3(1), 0.28);
  }
  colour = vec4(shown, 1);
}`;

// What stands in the book besides the drawings: cards and scenes.

const card = (name, subject, swatches) => ({
  name,
  subject,
  swatches: Object.entries(swatches).map(([swatch, made]) => {
    const [colour, follows] = [made].flat();
    return { name: swatch, colour, ...(follows ? { follows } : {}) };
  }),
});

export const cards = [
  card("Juniper", "oilskins", {
    Coat: "#2f6f5e",
    Lining: ["#1f5046", "Coat"],
    Scarf: "#d2603f",
    Skin: "#dba07a",
    Hair: "#5b2e25",
    Trousers: "#4d5f7c",
    Boots: "#83543a",
  }),
  card("Bram", "behind the counter", {
    "Pale fur": "#ece6da",
    "Dark fur": "#4a4647",
    Waistcoat: "#7d4660",
    Shirt: "#f3ead2",
    Apron: "#b7a178",
    Cap: "#2f4d70",
  }),
  card("Post", "props", {
    Satchel: "#b98a4b",
    Stilts: "#94704c",
    Paper: "#f7f1de",
    Sack: "#cdb78e",
    Brass: "#d8ab47",
  }),
  card("Saltmarsh", "place", {
    Sky: "#cfe1e4",
    Sea: "#8fb3b8",
    Sand: "#dfb981",
    Mud: "#a88e72",
    Reed: "#8d9a59",
    Sun: "#f4da9f",
    Cloud: "#f7f6f1",
  }),
  card("Sorting room", "place", {
    Wall: "#e9dabf",
    Wood: "#96683f",
    Shade: "#6f4a30",
    Floor: "#c39c6c",
    Lamp: "#e0a847",
  }),
];

/** Titles, the functions of sheets.mjs that draw them, and what kind of file they come as if not an SVG: see rasters.sh. */
export const scenes = [
  { title: "The sorting room", sheets: [["Morning post", "morningPost"]] },
  {
    title: "Low tide",
    sheets: [
      ["The crossing", "crossing"],
      ["Farewell from the jetty", "farewell"],
    ],
  },
  { title: "The lantern hill", sheets: [["Waiting for the light", "lanternHill", "scan"]] },
  { title: "The night delivery", sheets: [["By moonlight", "nightDelivery", "print"]] },
];

export const title = "The Tide Post";

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
  card("Kettle", "with panniers", {
    Coat: "#8b8079",
    Pale: "#e6dccd",
    Mane: "#413937",
    Hooves: "#5d4f44",
    Blanket: "#b0483f",
    Stripe: "#e4c26b",
    Pannier: "#c49d5e",
  }),
  card("Aunt Sorrel", "at the lantern", {
    Shawl: "#6d5c8d",
    Border: ["#54466f", "Shawl"],
    Dress: "#3f5c6c",
    Apron: "#dce6d2",
    Skin: "#b67e5b",
    Hair: "#e3dfd9",
    Headscarf: "#c88b40",
    Boots: "#4b3b34",
    Brooch: "#9fb7a4",
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
  card("Lantern hill", "place", {
    Glass: "#f5d078",
    Iron: "#3f474e",
    Stone: "#bbb4a6",
    Grass: "#7d8c58",
    Roof: "#8a4b44",
  }),
  card("Village", "place", {
    Tiles: "#c9744a",
    Door: "#2f6f9a",
  }),
];

/** How far a scene is laid is "partly" unless it says otherwise. Titles, the functions of sheets.mjs that draw them (of a sheet of layers one for each, from front to back), and what kind of file they come as if not an SVG: see rasters.sh. */
export const scenes = [
  { title: "The sorting room", laid: "untouched", sheets: [["Morning post", "morningPost"], ["Loading the panniers", "panniers"]] },
  {
    title: "Low tide",
    sheets: [
      ["The crossing", "crossing"],
      ["Farewell from the jetty", "farewell"],
      ["Kettle will not budge", "willNotBudge"],
      ["Over the wet sand", { Reeds: "wetSandReeds", Juniper: "wetSandJuniper", Marsh: "wetSandMarsh" }],
    ],
  },
  {
    title: "The lantern hill",
    laid: "wholly",
    lines: "Hill ink",
    shaded: true,
    rims: [{ sheet: "The lantern is lit", of: "Lantern hill/Glass", swatch: "Lantern hill/Glass" }],
    sheets: [["Waiting for the light", "lanternHill", "scan"], ["The lantern is lit", "lanternIsLit"], ["Up the hill", "upTheHill"]],
  },
  { title: "The night delivery", sheets: [["By moonlight", "nightDelivery", "print"], ["At Aunt Sorrel's door", "atTheDoor"]] },
  {
    title: "Model sheets",
    shaded: true,
    sheets: [
      ["Juniper, model sheet", "modelJuniper"],
      ["Bram, model sheet", "modelBram"],
      ["Kettle, model sheet", "modelKettle"],
      ["Aunt Sorrel, model sheet", "modelSorrel"],
    ],
  },
  {
    title: "Blocked in",
    // Nobody draws it here: its shapes were laid on the desk, and are kept beside the book.
    sheets: [
      {
        title: "The marsh at noon",
        blockedIn: "marshAtNoon.shapes",
        shadows: [
          { of: "Saltmarsh/Reed", through: [[-0.02, 0.86], [0.1, 0.82], [0.22, 0.87], [0.34, 0.84], [0.36, 1.05], [-0.02, 1.05]] },
          { of: "Saltmarsh/Reed", through: [[0.66, 0.85], [0.76, 0.88], [0.88, 0.82], [1.02, 0.86], [1.02, 1.05], [0.66, 1.05]] },
          { of: "Saltmarsh/Sand", through: [[0.3, 0.98], [0.33, 0.86], [0.42, 0.9], [0.4, 1.02]] },
          { of: "Kettle/Blanket", through: [[0.585, 0.535], [0.6, 0.62], [0.56, 0.6], [0.575, 0.55]] },
        ],
        rims: [{ of: "Kettle/Blanket", swatch: "Saltmarsh/Sky" }],
      },
    ],
  },
];

export const title = "The Tide Post";

/** The light of a scene: its rule as the application stores it, and the parts that keep their colours. */
export const lights = [
  { name: "Dusk", scene: "The lantern hill", rule: "multiply #7c6cab 78 -2 14 0 0", keeps: ["Lantern hill/Glass"] },
  { name: "Night", scene: "The night delivery", rule: "multiply #41568c 82 4 -10 0 -8", keeps: ["Saltmarsh/Sun", "Lantern hill/Glass"] },
];

/** Variants of cards, and the scene in which they are worn. */
export const wardrobes = [
  { card: "Juniper", name: "Night coat", scene: "The night delivery", colours: { Coat: "#d9a441", Scarf: "#e9e2d0" } },
];

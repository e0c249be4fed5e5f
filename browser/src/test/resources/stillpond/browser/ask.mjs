// Reads questions, one JSON object a line, and writes the answer of the compiled rules to each.
// { make: class, arguments } makes the object that the questions without a class are put to.
const rules = await import(process.argv[2]);
let layer;
let object;
let last;

const known = new Map();
const propertiesOf = (type) => {
  if (!known.has(type)) {
    const all = Object.entries(Object.getOwnPropertyDescriptors(type));
    known.set(type, all.filter(([, property]) => property.get).map(([name]) => name));
  }
  return known.get(type);
};

const plain = (answer) => {
  if (answer === null || answer === undefined || typeof answer !== "object") {
    return answer ?? null;
  }
  if (ArrayBuffer.isView(answer) || Array.isArray(answer)) {
    return Array.from(answer, plain);
  }
  const names = propertiesOf(Object.getPrototypeOf(answer));
  return Object.fromEntries(names.map((name) => [name, plain(answer[name])]));
};

const answer = (line) => {
  const { make, of, ask, arguments: given } = JSON.parse(line);
  if (make === "Layer") {
    layer = rules.Layer.read(...given);
    object = layer;
  } else if (make === "SameLayer") {
    object = layer;
  } else if (make === "PatchedLayer") {
    layer = last.layer;
    object = layer;
  } else if (make === "Plane") {
    object = rules.Plane.read(...given);
  } else if (make === "FillLook") {
    object = rules.FillLook.of(...given);
  } else if (make === "EvenLines") {
    object = rules.EvenLines.over(...given);
  } else if (make === "BlockedIn") {
    object = rules.BlockedIn.read(...given);
  } else if (make === "SheetShadows") {
    object = new rules.SheetShadows(layer, ...given);
  } else if (make === "BegunShadows") {
    object.begin(new rules.SheetGroups(), given[0]);
  } else if (make) {
    object = new rules[make](layer);
  } else {
    const target = of ? rules[of] : object;
    last = target[ask](...given);
    return JSON.stringify(plain(last)) + "\n";
  }
  return "";
};

// Many lines at a time: a line at a time takes longer than the questions.
let text = "";
process.stdin.setEncoding("utf8");
for await (const part of process.stdin) {
  const lines = (text + part).split("\n");
  text = lines.pop();
  const answers = lines.map(answer).join("");
  if (answers !== "") {
    await new Promise((written) => process.stdout.write(answers, written));
  }
}

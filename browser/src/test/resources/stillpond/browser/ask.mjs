// Reads questions, one JSON object a line, and writes the answer of the compiled rules to each.
// { make: class, arguments } makes the object that the questions without a class are put to.
import { createInterface } from "node:readline";

const rules = await import(process.argv[2]);
let layer;
let object;

const plain = (answer) => {
  if (answer === null || answer === undefined || typeof answer !== "object") {
    return answer ?? null;
  }
  if (ArrayBuffer.isView(answer) || Array.isArray(answer)) {
    return Array.from(answer, plain);
  }
  const names = Object.entries(Object.getOwnPropertyDescriptors(Object.getPrototypeOf(answer)))
    .filter(([, property]) => property.get)
    .map(([name]) => name);
  return Object.fromEntries(names.map((name) => [name, plain(answer[name])]));
};

for await (const line of createInterface({ input: process.stdin })) {
  const { make, of, ask, arguments: given } = JSON.parse(line);
  if (make === "Layer") {
    layer = new rules.Layer(...given);
    object = layer;
  } else if (make === "FillLook") {
    object = rules.FillLook.of(...given);
  } else if (make) {
    object = new rules[make](layer);
  } else {
    const target = of ? rules[of] : object;
    process.stdout.write(JSON.stringify(plain(target[ask](...given))) + "\n");
  }
}

// Writes down which packages of npm ship with the application, and under which licences, in the form of CycloneDX: those that
// package.json names as dependencies. Usage: node parts.mjs FILE
import { mkdirSync, readFileSync, writeFileSync } from "node:fs";
import { dirname } from "node:path";

const read = (file) => JSON.parse(readFileSync(file, "utf8"));
const components = Object.keys(read("package.json").dependencies).map((name) => {
  const { version, license, description } = read(`node_modules/${name}/package.json`);
  const purl = `pkg:npm/${name.replace("@", "%40")}@${version}`;
  // An expression is more than one licence, as in "MIT AND OFL-1.1".
  const licences = /\s/.test(license) ? [{ expression: license }] : [{ license: { id: license } }];
  return { type: "library", "bom-ref": purl, name, version, description, licenses: licences, purl };
});
const [, , file] = process.argv;
mkdirSync(dirname(file), { recursive: true });
writeFileSync(file, JSON.stringify({ bomFormat: "CycloneDX", specVersion: "1.6", version: 1, components }, null, 2));

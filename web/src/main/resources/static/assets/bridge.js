// Two lines laid on a picture of a bridge. Where they lie goes to the server, which works the lean out.
const MOST_ACROSS = 1600;

const canvas = document.getElementById("photo-canvas");
const area = document.getElementById("photo-area");
const picker = document.getElementById("picture");
const handles = [...document.querySelectorAll(".handle")];
const fields = { plate: document.getElementById("plate"), back: document.getElementById("back") };
let picture = null;
let lines = null;

function start(width, height) {
  const typed = [fields.plate.value, fields.back.value].map((ends) => ends.split(",").map(Number));
  if (typed.every((ends) => ends.length === 4 && ends.every(Number.isFinite))) {
    const pairs = ([x1, y1, x2, y2]) => [[x1, y1], [x2, y2]];
    return { plate: pairs(typed[0]), back: pairs(typed[1]) };
  }
  return {
    plate: [[width * 0.2, height * 0.8], [width * 0.8, height * 0.8]],
    back: [[width * 0.45, height * 0.76], [width * 0.45, height * 0.24]],
  };
}

function draw() {
  const pen = canvas.getContext("2d");
  const palette = getComputedStyle(document.documentElement);
  const colour = (name) => palette.getPropertyValue(`--color-${name}`);
  pen.drawImage(picture, 0, 0, canvas.width, canvas.height);
  for (const [name, ends] of Object.entries(lines)) {
    for (const [width, ink] of [[6, "paper-bright"], [2.5, name === "plate" ? "bottle" : "rosin"]]) {
      pen.lineWidth = (width * canvas.width) / 800;
      pen.strokeStyle = colour(ink);
      pen.beginPath();
      pen.moveTo(...ends[0]);
      pen.lineTo(...ends[1]);
      pen.stroke();
    }
  }
  for (const handle of handles) {
    const [x, y] = lines[handle.dataset.line][handle.dataset.end];
    handle.style.left = `${(x / canvas.width) * 100}%`;
    handle.style.top = `${(y / canvas.height) * 100}%`;
  }
}

function tell() {
  for (const name of ["plate", "back"]) {
    fields[name].value = lines[name].flat().map((at) => at.toFixed(1)).join(",");
  }
  document.body.dispatchEvent(new CustomEvent("lines"));
}

function move(handle, x, y) {
  lines[handle.dataset.line][handle.dataset.end] = [
    Math.min(canvas.width, Math.max(0, x)),
    Math.min(canvas.height, Math.max(0, y)),
  ];
  draw();
  tell();
}

async function show(bitmap) {
  const scale = Math.min(1, MOST_ACROSS / Math.max(bitmap.width, bitmap.height));
  canvas.width = Math.round(bitmap.width * scale);
  canvas.height = Math.round(bitmap.height * scale);
  picture = bitmap;
  canvas.getContext("2d").drawImage(bitmap, 0, 0, canvas.width, canvas.height);
  const blob = await new Promise((done) => canvas.toBlob(done, "image/jpeg", 0.86));
  const files = new DataTransfer();
  files.items.add(new File([blob], "bridge.jpg", { type: "image/jpeg" }));
  picker.files = files.files;
  lines = start(canvas.width, canvas.height);
  area.hidden = false;
  draw();
  if (fields.plate.value) tell();
}

picker?.addEventListener("change", async () => {
  const [file] = picker.files;
  if (file) await show(await createImageBitmap(file));
});

document.getElementById("practice")?.addEventListener("click", (event) => {
  const image = new Image();
  image.addEventListener("load", () => show(image));
  image.src = event.currentTarget.dataset.src;
});

for (const handle of handles) {
  handle.addEventListener("pointerdown", (event) => {
    handle.setPointerCapture(event.pointerId);
    event.preventDefault();
    handle.focus();
  });
  handle.addEventListener("pointermove", (event) => {
    if (!handle.hasPointerCapture(event.pointerId)) return;
    const box = canvas.getBoundingClientRect();
    move(
      handle,
      ((event.clientX - box.left) / box.width) * canvas.width,
      ((event.clientY - box.top) / box.height) * canvas.height,
    );
  });
  handle.addEventListener("keydown", (event) => {
    const step = { ArrowLeft: [-1, 0], ArrowRight: [1, 0], ArrowUp: [0, -1], ArrowDown: [0, 1] }[event.key];
    if (!step) return;
    event.preventDefault();
    const [x, y] = lines[handle.dataset.line][handle.dataset.end];
    const by = (event.shiftKey ? 20 : 2) * (canvas.width / 1600);
    move(handle, x + step[0] * by, y + step[1] * by);
  });
}

// A gap that is typed takes the place of lines that were drawn, and the side of the tailpiece turns the lean round.
document.getElementById("gap")?.addEventListener("input", () => {
  fields.plate.value = "";
  fields.back.value = "";
});
document.querySelectorAll("[name=left]").forEach((radio) => radio.addEventListener("change", () => lines && tell()));

// Reads the code on a lid by the camera, which is asked for only then; where a browser cannot read codes
// by itself, a decoder that ships with the page does.
import jsQR from "jsqr";

const page = document.querySelector("[data-scan]");
const view = page.querySelector("[data-scan-view]");
const open = page.querySelector("[data-scan-open]");
const said = page.querySelector("[data-scan-said]");
const LOOK_EVERY_MS = 150;
const WIDEST_PX = 800;

const reader = async () => {
  const formats = (await window.BarcodeDetector?.getSupportedFormats().catch(() => [])) ?? [];
  if (formats.includes("qr_code")) {
    const detector = new window.BarcodeDetector({ formats: ["qr_code"] });
    return async () => (await detector.detect(view))[0]?.rawValue ?? null;
  }
  const canvas = document.createElement("canvas");
  const drawing = canvas.getContext("2d", { willReadFrequently: true });
  return async () => {
    const scale = Math.min(1, WIDEST_PX / view.videoWidth);
    canvas.width = Math.round(view.videoWidth * scale);
    canvas.height = Math.round(view.videoHeight * scale);
    drawing.drawImage(view, 0, 0, canvas.width, canvas.height);
    const { data, width, height } = drawing.getImageData(0, 0, canvas.width, canvas.height);
    return jsQR(data, width, height)?.data ?? null;
  };
};

// A lid of this house opens without it; everything else is asked for.
const OURS = /^\/(?:batches|products)\/[A-Z0-9]{3,5}$/;
const follow = (seen) => {
  let path = "";
  try {
    path = new URL(seen).pathname;
  } catch {
    // no address: the house is asked whether it is a code
  }
  location.assign(OURS.test(path) ? path : `/lid?seen=${encodeURIComponent(seen.slice(0, 300))}`);
};

const scan = async () => {
  let stream;
  try {
    stream = await navigator.mediaDevices.getUserMedia({ video: { facingMode: "environment" } });
  } catch {
    said.textContent = "The camera may not be used here, or there is none. Type the code instead.";
    page.querySelector("#seen").focus();
    return;
  }
  open.hidden = true;
  view.hidden = false;
  view.srcObject = stream;
  await view.play();
  const read = await reader();
  const close = () => stream.getTracks().forEach((track) => track.stop());
  window.addEventListener("pagehide", close);
  for (;;) {
    const seen = view.videoWidth > 0 ? await read().catch(() => null) : null;
    if (seen) {
      said.textContent = "Read. It opens.";
      close();
      follow(seen);
      return;
    }
    await new Promise((next) => setTimeout(next, LOOK_EVERY_MS));
  }
};

open.hidden = !navigator.mediaDevices?.getUserMedia;
open.addEventListener("click", scan);

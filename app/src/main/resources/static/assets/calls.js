// Asks this browser to let itself be called while it is closed, and hands the house what it needs for that.
(() => {
  const form = document.querySelector("[data-calls]");
  if (!form) return;
  const trouble = document.querySelector("[data-calls-trouble]");
  const button = form.querySelector("button");
  const say = (words) => {
    trouble.textContent = words;
    trouble.hidden = words === "";
    button.disabled = false;
  };
  const base64 = (bytes) =>
    btoa(String.fromCharCode(...new Uint8Array(bytes)))
      .replaceAll("+", "-")
      .replaceAll("/", "_")
      .replace(/=+$/, "");

  const PATIENCE_MS = 30000;
  const within = (asked) =>
    Promise.race([asked, new Promise((_, late) => setTimeout(() => late(new Error("late")), PATIENCE_MS))]);

  const ask = async () => {
    if (!("PushManager" in window) || !navigator.serviceWorker)
      return say("This browser cannot be called while it is closed.");
    if ((await Notification.requestPermission()) !== "granted")
      return say("This browser may not show notifications from here. Allow them in its settings, then try again.");
    const worker = await navigator.serviceWorker.ready;
    const called = await worker.pushManager.subscribe({
      userVisibleOnly: true,
      applicationServerKey: form.dataset.calls,
    });
    form.elements.endpoint.value = called.endpoint;
    form.elements.publicKey.value = base64(called.getKey("p256dh"));
    form.elements.secret.value = base64(called.getKey("auth"));
    form.submit();
  };
  form.addEventListener("submit", (event) => {
    event.preventDefault();
    event.stopPropagation();
    say("");
    button.disabled = true;
    within(ask()).catch(() => say("This browser’s push service did not answer. It needs the internet for this."));
  });
})();

// Passkeys, where the browser knows them: made on one's own page, shown at the door.
(() => {
  const able =
    window.PublicKeyCredential?.parseCreationOptionsFromJSON && window.PublicKeyCredential.parseRequestOptionsFromJSON;

  const post = async (path, token, body) => {
    const answer = await fetch(path, {
      method: "POST",
      headers: { "Content-Type": "application/json", Accept: "application/json", "X-CSRF-TOKEN": token },
      body: body === undefined ? undefined : JSON.stringify(body),
    });
    if (!answer.ok) throw new Error(String(answer.status));
    return answer.json();
  };

  const made = async (token, label) => {
    const options = await post("/webauthn/register/options", token);
    const credential = await navigator.credentials.create({
      publicKey: PublicKeyCredential.parseCreationOptionsFromJSON(options),
    });
    await post("/webauthn/register", token, { publicKey: { credential: credential.toJSON(), label } });
    location.assign("/account");
  };

  const shown = async (token) => {
    const options = await post("/webauthn/authenticate/options", token);
    const credential = await navigator.credentials.get({
      publicKey: PublicKeyCredential.parseRequestOptionsFromJSON(options),
    });
    await post("/login/webauthn", token, credential.toJSON());
    location.assign("/");
  };

  document.querySelectorAll("[data-passkey]").forEach((box) => {
    box.hidden = !able;
    const form = box.closest("form") ?? box.querySelector("form");
    form.addEventListener("submit", async (event) => {
      event.preventDefault();
      event.stopImmediatePropagation();
      const say = form.querySelector("[data-passkey-said]");
      say.textContent = "";
      try {
        const token = form.elements._csrf.value;
        if (box.dataset.passkey === "make") await made(token, form.elements.label.value.trim() || "A passkey");
        else await shown(token);
      } catch (refused) {
        say.textContent =
          refused.message === "403"
            ? "Sign in again first: your sign-in is more than ten minutes old."
            : "That did not work. Your password is good as before.";
      }
    });
  });
})();

// A long list can be typed into: a field stands in its place, offers what the list holds, and tells the
// list what was meant. Without this script the list is there as it is.
(() => {
  const LONG = 15;
  const ALIKE = 4;
  const offered = new Map();

  const words = (option) => option.textContent.trim();
  const choices = (select) => [...select.options].filter((option) => !option.disabled);
  const shown = (select) => (select.selectedIndex < 0 ? "" : words(select.options[select.selectedIndex]));

  const offer = (select) => {
    const all = [...new Set(choices(select).map(words))];
    const known = all.join("\n");
    if (!offered.has(known)) {
      const list = document.createElement("datalist");
      list.id = `offered-${offered.size}`;
      list.append(...all.map((one) => Object.assign(document.createElement("option"), { value: one })));
      document.body.append(list);
      offered.set(known, list.id);
    }
    return offered.get(known);
  };

  /** The options that words can mean: the very one, else those that begin so, else those with it inside. */
  const meant = (select, typed) => {
    const said = typed.trim().toLowerCase();
    const has = (test) => [
      ...new Map(choices(select).filter((o) => test(words(o).toLowerCase())).map((o) => [words(o), o])).values(),
    ];
    const tests = [(w) => w === said, (w) => w.startsWith(said), (w) => w.includes(said)];
    return tests.map(has).find((found) => found.length > 0) ?? [];
  };

  const choose = (select, option) => {
    if (option.selected) return;
    option.selected = true;
    select.dispatchEvent(new Event("change", { bubbles: true }));
  };

  const rest = (field, select) => {
    field.value = shown(select);
    field.placeholder = "";
    field.size = Math.max(6, field.value.length);
    field.setCustomValidity("");
    field.removeAttribute("aria-invalid");
  };

  const settle = (field, select) => {
    if (field.value.trim() === "") return rest(field, select);
    const found = meant(select, field.value);
    if (found.length === 1) {
      choose(select, found[0]);
      return rest(field, select);
    }
    const typed = field.value.trim();
    const asked = (options) => options.slice(0, 4).map(words).join(", ");
    const near = meant(select, typed.slice(0, ALIKE));
    field.setCustomValidity(
      found.length > 0
        ? `Which one: ${asked(found)}?`
        : `“${typed}” is not in the list.` + (near.length > 0 ? ` Is it ${asked(near)}?` : ""),
    );
    field.setAttribute("aria-invalid", "true");
    if (field.isConnected) field.reportValidity();
  };

  const typable = (select) => {
    const field = document.createElement("input");
    const label = select.labels[0];
    field.type = "text";
    field.autocomplete = "off";
    field.spellcheck = false;
    field.dataset.lists = select.name;
    field.className = "lists";
    field.setAttribute("list", offer(select));
    if (label && select.id) {
      field.id = `${select.id}-typed`;
      label.htmlFor = field.id;
    } else {
      field.setAttribute("aria-label", select.getAttribute("aria-label") ?? label?.textContent.trim() ?? "");
    }
    select.classList.add("listed");
    select.tabIndex = -1;
    select.setAttribute("aria-hidden", "true");
    select.after(field);
    rest(field, select);
    if (select.getAttribute("aria-invalid") === "true") field.setAttribute("aria-invalid", "true");

    // What is chosen stands aside while another is looked for, so that all are offered.
    field.addEventListener("focus", () => {
      if (field.getAttribute("aria-invalid") === "true") return;
      field.placeholder = field.value;
      field.value = "";
    });
    field.addEventListener("input", (event) => {
      event.stopPropagation();
      const found = meant(select, field.value);
      const very = found.length === 1 && words(found[0]).toLowerCase() === field.value.trim().toLowerCase();
      field.setCustomValidity("");
      if (very) choose(select, found[0]);
    });
    field.addEventListener("change", (event) => event.stopPropagation());
    field.addEventListener("blur", () => settle(field, select));
    field.addEventListener("keydown", (event) => {
      if (event.key === "Escape") {
        field.value = "";
        rest(field, select);
      } else if (event.key === "Enter" && field.value.trim() !== "") {
        event.preventDefault();
        settle(field, select);
      }
    });
    select.addEventListener("change", () => {
      if (document.activeElement !== field) rest(field, select);
    });
  };

  const all = () =>
    document.querySelectorAll("main select:not([multiple])").forEach((select) => {
      if (select.classList.contains("listed")) {
        const field = select.nextElementSibling;
        if (document.activeElement !== field && !field.validationMessage) rest(field, select);
      } else if (select.options.length > LONG) typable(select);
    });
  all();
  document.addEventListener("htmx:afterSettle", all);
  window.addEventListener("pageshow", all);
  document.addEventListener("lists", all);
})();

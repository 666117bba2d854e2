// What a phone holds: entries that wait, what was answered to them, and what the house last said of itself.
import { openDB } from "idb";

const opened = openDB("velvet-crock", 1, {
  upgrade(db) {
    db.createObjectStore("waiting", { keyPath: "id" }).createIndex("made", "made");
    db.createObjectStore("answered", { keyPath: "id" }).createIndex("made", "made");
    db.createObjectStore("house");
  },
});

export const waiting = async () => (await opened).getAllFromIndex("waiting", "made");
export const answered = async () => (await opened).getAllFromIndex("answered", "made");
export const keep = async (entry) => (await opened).put("waiting", entry);
export const house = async () => (await (await opened).get("house", "said")) ?? null;
export const houseSaid = async (said) => (await opened).put("house", said, "said");

// An entry leaves the queue in the same breath in which its answer comes in.
export const answer = async (id, answer) => {
  const change = (await opened).transaction(["waiting", "answered"], "readwrite");
  const entry = await change.objectStore("waiting").get(id);
  if (entry) await change.objectStore("answered").put({ ...entry, answer });
  await change.objectStore("waiting").delete(id);
  await change.done;
};

// What was refused waits once more, under the same key.
export const again = async (id) => {
  const change = (await opened).transaction(["waiting", "answered"], "readwrite");
  const { answer: _, ...entry } = await change.objectStore("answered").get(id);
  await change.objectStore("waiting").put(entry);
  await change.objectStore("answered").delete(id);
  await change.done;
};

export const forgetAll = async () => {
  const change = (await opened).transaction(["waiting", "answered", "house"], "readwrite");
  await Promise.all(["waiting", "answered", "house"].map((name) => change.objectStore(name).clear()));
  await change.done;
};

export const forget = async (id) => {
  const change = (await opened).transaction(["waiting", "answered"], "readwrite");
  await change.objectStore("waiting").delete(id);
  await change.objectStore("answered").delete(id);
  await change.done;
};

package velvetcrock.web;

import java.util.UUID;

/** Somebody does not live in a household any more: what he took along is to open nothing. */
public record SomebodyWent(UUID household, String name) {}

package velvetcrock.web;

import java.util.UUID;

/** All that a household had was taken away; whatever is held of it in memory is to be forgotten. */
public record HouseholdCleared(UUID household) {}

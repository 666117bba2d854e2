package velvetcrock.core;

/**
 * One thing that is wrong with an input.
 *
 * @param field where it was made, as a path such as {@code herbs[0].massG}
 * @param message the rule, what was read and what would be accepted, in a sentence
 */
public record Problem(String field, String message) {}

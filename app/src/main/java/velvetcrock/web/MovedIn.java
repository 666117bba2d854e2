package velvetcrock.web;

import java.util.UUID;

/**
 * A household took in what another had written, in the transaction that runs: what is reckoned from
 * it is to be reckoned here.
 */
public record MovedIn(UUID household) {}

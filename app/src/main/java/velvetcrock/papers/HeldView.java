package velvetcrock.papers;

import java.util.List;
import velvetcrock.core.caution.Caution;

/**
 * A bottle's or a tin's page for whoever holds it.
 *
 * @param until its best-before
 * @param over whether that is past
 * @param gone whether it has been noted as gone or has turned
 */
record HeldView(
    LabelText label, String until, boolean over, boolean gone, List<Caution> cautions) {}

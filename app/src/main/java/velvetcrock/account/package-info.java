/**
 * Who may come in: sign-in, the first visit, invitations, tokens, and the rules of security for
 * every route. It must not know what people do once they are in.
 */
@NullMarked
package velvetcrock.account;

import org.jspecify.annotations.NullMarked;

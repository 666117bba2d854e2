/**
 * The JSON face of the core and of the log. It holds no rule of its own: it reads a request, asks
 * the core or the batch, and writes the answer; errors are RFC 9457 problem documents.
 */
@NullMarked
package velvetcrock.api;

import org.jspecify.annotations.NullMarked;

/**
 * What all pages share: whose household a request is for, how figures and dates are written, how
 * jars are drawn, and what an error looks like. It must not know any place of the kitchen.
 */
@NullMarked
package velvetcrock.web;

import org.jspecify.annotations.NullMarked;

/** How the bridge stands, where the push of the strings meets its feet, and how far a stuck string drags it. */
package rosinedpeg.core.bridge;

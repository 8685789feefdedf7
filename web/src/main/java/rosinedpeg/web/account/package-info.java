/**
 * Workshops, their people, signing in and passwords. Begin with {@link rosinedpeg.web.account.Accounts}.
 */
@org.springframework.modulith.ApplicationModule(allowedDependencies = {"platform", "drawing"})
package rosinedpeg.web.account;

package dusk.ledger.web.security;

import dusk.ledger.web.records.Devices;
import dusk.ledger.web.records.People;
import dusk.ledger.web.store.NewId;
import io.github.wimdeblauwe.htmx.spring.boot.security.HxRefreshHeaderAuthenticationEntryPoint;
import java.util.List;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.security.authentication.RememberMeAuthenticationToken;
import org.springframework.security.config.annotation.web.builders.HttpSecurity;
import org.springframework.security.core.userdetails.UserDetailsService;
import org.springframework.security.core.userdetails.UsernameNotFoundException;
import org.springframework.security.crypto.factory.PasswordEncoderFactories;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.security.web.SecurityFilterChain;
import org.springframework.security.web.authentication.LoginUrlAuthenticationEntryPoint;
import org.springframework.security.web.authentication.SavedRequestAwareAuthenticationSuccessHandler;
import org.springframework.security.web.authentication.UsernamePasswordAuthenticationFilter;
import org.springframework.security.web.authentication.session.SessionAuthenticationStrategy;
import org.springframework.security.web.csrf.CookieCsrfTokenRepository;
import org.springframework.security.web.csrf.CsrfAuthenticationStrategy;
import org.springframework.security.web.csrf.CsrfTokenRepository;
import org.springframework.security.web.header.writers.ReferrerPolicyHeaderWriter.ReferrerPolicy;
import org.springframework.security.web.util.matcher.AnyRequestMatcher;
import org.springframework.security.web.util.matcher.RequestHeaderRequestMatcher;
import org.springframework.web.method.support.HandlerMethodArgumentResolver;
import org.springframework.web.servlet.config.annotation.InterceptorRegistry;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;

/** Signed out, a person sees the sign-in page and what it is drawn with, and nothing else. */
@Configuration(proxyBeanMethods = false)
class SecuritySetting {
    private static final String CONTENT_POLICY =
            "default-src 'none'; script-src 'self'; style-src 'self'; font-src 'self'; img-src 'self'; connect-src 'self';"
                    + " manifest-src 'self'; form-action 'self'; frame-ancestors 'none'; base-uri 'none'";

    @Bean
    SecurityFilterChain chain(
            HttpSecurity http, Guesses guesses, People people, Devices devices, RememberedDevices remembered)
            throws Exception {
        SavedRequestAwareAuthenticationSuccessHandler onward = new SavedRequestAwareAuthenticationSuccessHandler();
        onward.setRedirectStrategy(new OwnAddress());
        CsrfTokenRepository forms = new CookieCsrfTokenRepository();
        return http.authorizeHttpRequests(requests -> requests.requestMatchers(
                                "/sign-in",
                                "/demo/sign-in",
                                "/begin",
                                "/invited/*",
                                "/app.css",
                                "/fonts/**",
                                "/js/**",
                                "/webjars/**",
                                "/health",
                                "/mark.svg",
                                "/icon-*.png",
                                "/dusk.webmanifest")
                        .permitAll()
                        .anyRequest()
                        .authenticated())
                .formLogin(form -> form.loginPage("/sign-in").successHandler((request, response, signedIn) -> {
                    guesses.right(GuessesFilter.name(request), request.getRemoteAddr());
                    onward.onAuthenticationSuccess(request, response, signedIn);
                }))
                .addFilterBefore(new GuessesFilter(guesses), UsernamePasswordAuthenticationFilter.class)
                .addFilterBefore(new EndedSessionFilter(people, devices), UsernamePasswordAuthenticationFilter.class)
                .rememberMe(remember -> remember.rememberMeServices(remembered).key(remembered.getKey()))
                .csrf(csrf -> csrf.csrfTokenRepository(forms).sessionAuthenticationStrategy(anew(forms)))
                .logout(out -> out.logoutUrl("/sign-out").logoutSuccessUrl("/sign-in?out"))
                .exceptionHandling(e -> e.defaultAuthenticationEntryPointFor(
                                new HxRefreshHeaderAuthenticationEntryPoint(),
                                new RequestHeaderRequestMatcher("HX-Request"))
                        .defaultAuthenticationEntryPointFor(
                                new LoginUrlAuthenticationEntryPoint("/sign-in"), AnyRequestMatcher.INSTANCE))
                .headers(headers -> headers.contentSecurityPolicy(policy -> policy.policyDirectives(CONTENT_POLICY))
                        .referrerPolicy(policy -> policy.policy(ReferrerPolicy.SAME_ORIGIN)))
                .build();
    }

    /**
     * Who signs in gets another token for their forms; whose device is recognised keeps it. So a page that stood open while
     * the server began anew can still send what was touched on it.
     */
    private static SessionAuthenticationStrategy anew(CsrfTokenRepository forms) {
        SessionAuthenticationStrategy another = new CsrfAuthenticationStrategy(forms);
        return (authentication, request, response) -> {
            if (!(authentication instanceof RememberMeAuthenticationToken)) {
                another.onAuthentication(authentication, request, response);
            }
        };
    }

    @Bean
    PasswordEncoder passwordEncoder() {
        return PasswordEncoderFactories.createDelegatingPasswordEncoder();
    }

    @Bean
    UserDetailsService userDetails(People people) {
        return signIn -> people.bySignIn(signIn)
                .flatMap(p -> SignedIn.of(people, p.id()))
                .orElseThrow(() -> new UsernameNotFoundException("no such sign-in name"));
    }

    /** The key is drawn anew with each start: it only tells who came in by a device from who came in by a password. */
    @Bean
    RememberedDevices remembered(UserDetailsService users, Devices devices, People people, NewId newId) {
        return new RememberedDevices(newId.next(), users, devices, people);
    }

    @Bean
    WebMvcConfigurer personOfARequest(CurrentPerson current, ChangeNotes notes) {
        return new WebMvcConfigurer() {
            @Override
            public void addInterceptors(InterceptorRegistry registry) {
                registry.addInterceptor(new ReadersOnly(current));
                registry.addInterceptor(notes);
            }

            @Override
            public void addArgumentResolvers(List<HandlerMethodArgumentResolver> resolvers) {
                resolvers.add(current);
            }
        };
    }
}

# Reference estimates of interval-censored log-normal regression, by the survival package of R.
# Run: Rscript bench/interval-reference.R > src/core/learn/tests/interval-reference.json
# The result is kept as check data; R is not needed to build or test.
library(survival)

number <- function(x) ifelse(is.finite(x), formatC(x, digits = 12, format = "g"), "null")
list_of <- function(x) paste0("[", paste(number(x), collapse = ","), "]")

case <- function(name, low, high, z = NULL) {
  # survreg takes NA for an open end.
  time1 <- ifelse(low <= 0, NA, low)
  time2 <- ifelse(is.finite(high), high, NA)
  y <- Surv(time1, time2, type = "interval2")
  fit <- if (is.null(z)) survreg(y ~ 1, dist = "lognormal") else survreg(y ~ z, dist = "lognormal")
  # survreg's log-likelihood of an interval is that of the interval itself, without a Jacobian.
  paste0(
    '{"name":"', name, '","low":', list_of(low), ',"high":', list_of(high),
    ',"z":', if (is.null(z)) "null" else list_of(z),
    ',"coefficients":', list_of(unname(coef(fit))), ',"sigma":', number(fit$scale),
    ',"logLik":', number(fit$loglik[length(fit$loglik)]), "}")
}

printed <- case("the printed reference case",
  c(0, 1, 1, 2, 2, 3, 3, 4, 5, 6, 0.5, 2.5),
  c(2, 2, 3, 3, 4, 4, 5, Inf, 7, Inf, 1.5, 3.5))

set.seed(20260217)
drawn <- function(name, n, mu, sigma, beta = NULL) {
  z <- if (is.null(beta)) NULL else round(runif(n, -1, 1), 3)
  t <- exp(mu + (if (is.null(beta)) 0 else beta * z) + sigma * rnorm(n))
  # Looked at once a day, from the first morning to the tenth.
  low <- pmin(floor(t), 10)
  high <- ifelse(low >= 10, Inf, low + 1)
  case(name, low, high, z)
}
cases <- c(
  printed,
  drawn("forty films looked at each morning", 40, 1.1, 0.45),
  drawn("sixty films, one factor", 60, 0.9, 0.35, 0.5),
  drawn("two hundred films, one factor", 200, 1.3, 0.55, -0.4))
cat("[\n", paste(cases, collapse = ",\n"), "\n]\n", sep = "")

/** Core for the tests of the page: outside the sandbox, like everywhere else. */
module.exports = requireOutside('@olvet/core');

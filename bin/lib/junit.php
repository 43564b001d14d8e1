<?php

declare(strict_types=1);

// Prints how many tests of a JUnit file passed and how many did not: "141 0".

$xml = @simplexml_load_file($argv[1] ?? '');
if ($xml === false) {
    exit(1);
}
$all = count($xml->xpath('//testcase') ?: []);
$skipped = count($xml->xpath('//testcase[skipped]') ?: []);
$bad = count($xml->xpath('//testcase[failure or error]') ?: []);

echo $all - $skipped - $bad, ' ', $bad, "\n";

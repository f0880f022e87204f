<?php

declare(strict_types=1);

// The command-line door to the calculators: reckon.php NAME 'JSON'. Answers on standard output, problems on standard error.

use Core\Form\BadInput;
use Core\Reckoner\Catalogue;
use Core\Reckoner\UnknownCalculator;

require __DIR__.'/../vendor/autoload.php';

$write = fn (mixed $stream, array $content) => fwrite($stream, json_encode($content, JSON_PRETTY_PRINT | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_INVALID_UTF8_SUBSTITUTE | JSON_PRESERVE_ZERO_FRACTION)."\n");
$refuse = function (array $problem) use ($write): never {
    $write(STDERR, $problem);
    exit(2);
};

[, $name, $json] = $argv + [1 => '', 2 => '{}'];
$given = json_decode($json, true);
if (! is_array($given)) {
    $refuse(['type' => '/problems/bad-input', 'title' => 'That is not JSON.', 'status' => 422, 'detail' => 'Give the fields as one JSON object.', 'errors' => ['json' => ['That is not a JSON object.']]]);
}
try {
    $write(STDOUT, Catalogue::reckon($name, $given, new DateTimeImmutable));
} catch (BadInput $bad) {
    $refuse(['type' => '/problems/bad-input', 'title' => 'Some of this cannot be used', 'status' => 422, 'detail' => $bad->getMessage(), 'errors' => $bad->errors]);
} catch (UnknownCalculator $unknown) {
    $refuse(['type' => '/problems/not-found', 'title' => 'Not found', 'status' => 404, 'detail' => $unknown->getMessage()]);
}

<?php

declare(strict_types=1);

// Sets aside what nobody can read of a yard's settings, so that it starts all the same, and says which line that was.
//
//   php mend_settings.php STATE-FOLDER

use Dotenv\Exception\InvalidFileException;
use Dotenv\Parser\Parser;

require dirname(__DIR__).'/vendor/autoload.php';

[$settings, $passphrase] = ["{$argv[1]}/.env", "{$argv[1]}/backup-passphrase"];
$parser = new Parser;
$kept = [];
$isMended = false;
foreach (file($settings, FILE_IGNORE_NEW_LINES) ?: [] as $index => $line) {
    $number = $index + 1;
    if (preg_match('/^\s*BACKUP_PASSPHRASE\s*=\s*(.*)$/', $line, $part) === 1) {
        $isMended = true;
        $said = trim($part[1], " \t\"'");
        if ($said !== '' && ! file_exists($passphrase)) {
            umask(0077);
            file_put_contents($passphrase, "{$said}\n");
        }
        echo "Line {$number} of {$settings}: the passphrase lies in a file of its own now, {$passphrase}.\n";

        continue;
    }
    try {
        $parser->parse(mb_scrub($line));
        $kept[] = $line;
    } catch (InvalidFileException) {
        $isMended = true;
        $kept[] = "# not read: {$line}";
        echo "Line {$number} of {$settings} cannot be read and was set aside: {$line}\n  A value with spaces or signs stands in double quotes.\n";
    }
}
if ($isMended) {
    file_put_contents("{$settings}.new", implode("\n", $kept)."\n");
    chmod("{$settings}.new", 0600);
    rename("{$settings}.new", $settings);
}

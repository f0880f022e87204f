<?php

declare(strict_types=1);

// Prints the files of all classes that ordinary reading loads, for script/preload.php: asks for the main pages as one
// of the yard's people.

use App\People\Person;
use Illuminate\Contracts\Http\Kernel;
use Illuminate\Http\Request;

$root = dirname(__DIR__);
require "{$root}/vendor/autoload.php";
$app = require "{$root}/bootstrap/app.php";
$kernel = $app->make(Kernel::class);
$ask = fn (string $address) => $kernel->handle(
    Request::create($address, server: ['HTTP_ACCEPT' => 'application/json']),
);
$ask('/api/session');
$person = Person::query()->first();
if ($person !== null) {
    $app['auth']->guard('web')->setUser($person);
    foreach (['session', 'pulse', 'yard', 'machines', 'walkaround', 'entries'] as $page) {
        $ask("/api/{$page}");
    }
}
// What the map still names of a class that has gone since is no file.
$classes = array_flip(array_filter(array_map(realpath(...), require "{$root}/vendor/composer/autoload_classmap.php")));
foreach (get_included_files() as $file) {
    if (isset($classes[$file])) {
        echo "{$file}\n";
    }
}

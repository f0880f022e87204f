<?php

declare(strict_types=1);

// Remakes docs/screenshots/ from the demo: one current picture of each main view.

use Database\Demo\DemoBench;
use Tests\Browser\Browser;
use Tests\Browser\JobTold;

require __DIR__.'/../../vendor/autoload.php';

$folder = dirname(__DIR__, 2).'/docs/screenshots';
@mkdir($folder, recursive: true);
$browser = new Browser((string) getenv('JARDINIER_URL'));
$shoot = function (string $name) use ($browser, $folder): void {
    $browser->picture("{$folder}/{$name}.png");
    echo "docs/screenshots/{$name}.png\n";
};
try {
    $browser->signIn('rosa', 'coldbrook-rosa');
    $browser->open('/');
    $browser->see('Bittern');
    $shoot('yard');
    $browser->press('Bittern');
    $browser->see('What is due');
    $machine = $browser->path();
    $shoot('machine-now');
    $browser->open('/machines/1/fluids');
    $browser->see('Filters and parts');
    $shoot('machine-fluids');
    $browser->open('/machines/1/fluids/engine_oil');
    $browser->see('Probably missing');
    $browser->see('Due at');
    $shoot('compartment');
    $browser->open('/machines/1/plate/alternator_belt');
    $browser->see('Lately');
    $shoot('machine-plate');
    $job = DemoBench::JOB;
    $browser->open("/bench/{$job}");
    $browser->see('Begin');
    $shoot('job');
    $browser->open('/yard');
    $browser->see('Bittern');
    $browser->keys('/');
    $browser->keys('teal 3702');
    $browser->see('asks why');
    $shoot('log-line');
    $browser->keys("\u{E00C}");
    $browser->script('localStorage.clear()');
    $browser->open('/machines/1/chart');
    $browser->see('Which means');
    $shoot('chart');
    $browser->open('/logbook');
    $browser->see('Correct');
    $shoot('logbook');
    $browser->open('/reckoner/belt-deflection?rest=1+3%2F4+in&pressed=1+3%2F8+in&limit.deflection=1%2F3+in&limit.force=15+lbf');
    $browser->see('over by 1/24 in');
    $shoot('reckoner');
    $browser->open('/shelf');
    $browser->see('Stopline DOT 4');
    $shoot('shelf');
    $browser->open('/shelf/ready?until=2026-07-15');
    $browser->see('What it takes');
    $shoot('ready');
    $browser->open('/machines/9/findings/pads');
    $browser->see('it reaches the limit');
    $shoot('finding');

    $browser->resize(Browser::PHONE);
    $browser->open('/walkaround/2/daily');
    $browser->see('Hour meter');
    $browser->press('Not run since');
    $browser->see('found before');
    $shoot('check-phone');
    (new JobTold((string) getenv('JARDINIER_URL')))->until($job, 'pour:engine_oil');
    $browser->open("/bench/{$job}/step");
    $browser->see('pour now');
    $shoot('step-phone');
    $browser->open('/walkaround/2/weekly?at=belt');
    $browser->type('At rest', '1 3/4');
    $browser->type('Pressed', '1 3/8');
    $browser->see('over by 1/24 in');
    $browser->script('window.scrollTo(0, document.body.scrollHeight)');
    $shoot('verdict-phone');
    $browser->open('/shelf/lists/1');
    $browser->see('gathered');
    $shoot('list-phone');
    $browser->open('/yard');
    $browser->see('Bittern');
    $shoot('yard-phone');
    $browser->script('localStorage.setItem("jardinier.scheme", "shed")');
    $browser->open('/machines/1/plate?kind=grease_point');
    $browser->see('A whole round');
    $shoot('plate-phone-shed');
} finally {
    $browser->quit();
}

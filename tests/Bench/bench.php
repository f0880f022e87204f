<?php

declare(strict_types=1);

// The benchmarks: everything measured side by side in one run on one server, printed as ratios.

use Tests\Bench\ContainersBench;
use Tests\Bench\CoreBench;
use Tests\Bench\ForecastBench;
use Tests\Bench\FuzzBench;
use Tests\Bench\LoadBench;
use Tests\Bench\ProcedureBench;
use Tests\Bench\WalkBench;
use Tests\Bench\WebBench;

require __DIR__.'/../../vendor/autoload.php';

(new CoreBench)->run();
(new ContainersBench)->run();
(new ProcedureBench)->run();
(new ForecastBench)->run();
(new LoadBench((string) getenv('JARDINIER_URL'), (string) getenv('JARDINIER_STATE')))->run();
(new FuzzBench((string) getenv('JARDINIER_URL')))->run();
(new WalkBench((string) getenv('JARDINIER_URL'), dirname(__DIR__, 2).'/public'))->run();
(new WebBench(dirname(__DIR__, 2).'/public/build'))->run();

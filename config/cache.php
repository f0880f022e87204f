<?php

declare(strict_types=1);

// The stores themselves are the framework's own; CACHE_STORE=redis serves several workers on several computers.
return ['default' => env('CACHE_STORE', 'file'), 'prefix' => 'jardinier_'];

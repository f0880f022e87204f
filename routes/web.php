<?php

declare(strict_types=1);

use Illuminate\Support\Facades\Route;

// Every other address is one of the web application's own.
Route::view('{address?}', 'app')->where('address', '(?!api/|build/).*');

<?php

declare(strict_types=1);

use App\Yard\WebPage;
use Illuminate\Support\Facades\Route;

// Every other address is one of the web application's own.
Route::get('{address?}', WebPage::class)->where('address', '(?!api/|build/).*');

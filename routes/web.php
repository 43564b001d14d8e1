<?php

declare(strict_types=1);

use Illuminate\Support\Facades\Route;

Route::view('/{page?}', 'app')->where('page', '^(?!api/|build/|sanctum/|up$).*$')->name('client');

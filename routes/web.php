<?php

declare(strict_types=1);

use App\Http\UpController;
use Illuminate\Support\Facades\Route;

Route::get('up', UpController::class)->withoutMiddleware('web');

// The page is the same for everybody, and has no session: got late, it would take the one back that was signed in meanwhile.
Route::view('/{page?}', 'app')->where('page', '^(?!api/|build/|sanctum/|up$).*$')->withoutMiddleware('web')->name('client');

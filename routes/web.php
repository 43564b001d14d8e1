<?php

declare(strict_types=1);

use App\Http\OpenApiController;
use App\Http\UpController;
use Illuminate\Support\Facades\Route;

Route::get('up', UpController::class)->withoutMiddleware('web');
Route::get('openapi', OpenApiController::class)->withoutMiddleware('web');

// The page is the same for everybody, and has no session: got late, it would take the one back that was signed in meanwhile.
Route::view('/{page?}', 'app')->where('page', '^(?!api/|build/|sanctum/|up$|openapi$).*$')->withoutMiddleware('web')->name('client');

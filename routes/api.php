<?php

declare(strict_types=1);

use App\Field\Http\DepthIndexController;
use App\Field\Http\ToolbarLevelController;
use App\Http\MeController;
use App\Http\Middleware\SpeaksForItself;
use App\Http\SessionController;
use App\Opener\Http\ContactController;
use App\Parts\Http\LedgerController;
use App\Parts\Http\PartTypeController;
use App\Record\Import\Http\ImportController;
use App\Spec\Http\SpecSheetController;
use App\Walk\Board\Http\BoardController;
use App\Walk\Board\Http\HistoryController;
use App\Walk\Board\Http\RowController;
use App\Walk\Http\NoteController;
use App\Walk\Http\PackController;
use App\Walk\Http\PhotoController;
use App\Walk\Http\PrintController;
use App\Walk\Http\ReadingController;
use App\Walk\Http\WalkController;
use App\Walk\Http\WalkExportController;
use App\Wear\Http\AcresController;
use App\Wear\Http\WearController;
use App\Yard\Http\PlanterController;
use App\Yard\Http\WorkshopController;
use App\Yard\Http\YardController;
use Illuminate\Support\Facades\Route;

Route::pattern('planter', '[0-9]{1,18}');
Route::pattern('specSheet', '[0-9]{1,18}');
Route::pattern('pack', '[0-9]{1,18}');
Route::pattern('partType', '[0-9]{1,18}');

Route::post('sign-in', [SessionController::class, 'store'])->middleware('throttle:sign-in');

Route::middleware(['auth:sanctum', SpeaksForItself::class])->group(function (): void {
    Route::post('sign-out', [SessionController::class, 'destroy']);
    Route::get('me', [MeController::class, 'show']);
    Route::patch('me', [MeController::class, 'update']);
    Route::get('yard', YardController::class);

    Route::get('spec-sheets', [SpecSheetController::class, 'index']);
    Route::get('spec-sheets/{specSheet}', [SpecSheetController::class, 'show'])->can('view', 'specSheet');
    Route::put('spec-sheets/{specSheet}', [SpecSheetController::class, 'update'])->can('update', 'specSheet');
    Route::post('spec-sheets/{specSheet}/preview', [SpecSheetController::class, 'preview'])->can('update', 'specSheet');
    Route::post('spec-sheets/{specSheet}/reset', [SpecSheetController::class, 'reset'])->can('update', 'specSheet');
    Route::post('spec-sheets/{specSheet}/own-checks', [SpecSheetController::class, 'addCheck'])->can('update', 'specSheet');
    Route::delete('spec-sheets/{specSheet}/own-checks/{check}', [SpecSheetController::class, 'removeCheck'])->can('update', 'specSheet');
    Route::post('spec-sheets/{specSheet}/copies', [SpecSheetController::class, 'copy'])->can('view', 'specSheet');

    Route::get('workshop', [WorkshopController::class, 'show']);
    Route::patch('workshop', [WorkshopController::class, 'update']);
    Route::get('part-types', [PartTypeController::class, 'index']);
    Route::post('part-types', [PartTypeController::class, 'store']);
    Route::put('part-types/{partType}', [PartTypeController::class, 'update'])->can('view', 'partType');
    Route::get('part-types/{partType}/lives', [PartTypeController::class, 'lives'])->can('view', 'partType');

    Route::get('packs', [PackController::class, 'index']);
    Route::post('packs', [PackController::class, 'store']);
    Route::put('packs/{pack}', [PackController::class, 'update'])->can('update', 'pack');
    Route::delete('packs/{pack}', [PackController::class, 'destroy'])->can('update', 'pack');

    Route::post('planters', [PlanterController::class, 'store']);
    Route::middleware('can:view,planter')->prefix('planters/{planter}')->group(function (): void {
        Route::get('/', [PlanterController::class, 'show']);
        Route::put('/', [PlanterController::class, 'update']);
        Route::get('board', [BoardController::class, 'show']);
        Route::get('face', [BoardController::class, 'face']);
        Route::get('history', HistoryController::class);
        Route::get('rows/{row}', RowController::class)->where('row', '[0-9]{1,3}');
        Route::get('guide', [WalkController::class, 'guide']);
        Route::get('toolbar-level', ToolbarLevelController::class);
        Route::get('blank.pdf', [PrintController::class, 'blank']);
        Route::get('ledger', [LedgerController::class, 'show']);
        Route::post('ledger', [LedgerController::class, 'store']);
        Route::get('forecast', [WearController::class, 'forecast']);
        Route::get('wear-chart', [WearController::class, 'chart']);
        Route::get('contact', ContactController::class);
        Route::get('acres', [AcresController::class, 'index']);
        Route::post('acres', [AcresController::class, 'store']);
        Route::get('imports', [ImportController::class, 'index']);
        Route::post('imports', [ImportController::class, 'store']);
        Route::get('walks', [WalkController::class, 'index']);
        Route::post('walks', [WalkController::class, 'store']);
    });

    Route::middleware('can:view,photo')->prefix('photos/{photo}')->group(function (): void {
        Route::get('/', [PhotoController::class, 'show']);
        Route::get('thumbnail', [PhotoController::class, 'thumbnail']);
    });

    Route::middleware('can:view,walk')->prefix('walks/{walk}')->group(function (): void {
        Route::get('/', [WalkController::class, 'show']);
        Route::patch('/', [WalkController::class, 'update']);
        Route::post('finish', [WalkController::class, 'finish']);
        Route::post('reopen', [WalkController::class, 'reopen']);
        Route::post('readings', [ReadingController::class, 'store']);
        Route::get('news', [WalkController::class, 'news']);
        Route::post('notes', NoteController::class);
        Route::post('photos', [PhotoController::class, 'store']);
        Route::get('depth-index', DepthIndexController::class);
        Route::get('export.csv', WalkExportController::class);
        Route::get('sheet.pdf', [PrintController::class, 'walk']);
    });
});

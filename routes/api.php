<?php

declare(strict_types=1);

use App\Bench\Http\BenchController;
use App\Bench\Http\BenchReportController;
use App\Bench\Http\MetersController;
use App\Bench\Http\SeedController;
use App\Bench\Http\StandController;
use App\Bench\Http\StandDeviceController;
use App\Bench\Http\StandRunController;
use App\Field\Http\CalculatorController;
use App\Field\Http\DepthIndexController;
use App\Field\Http\DiagnosisController;
use App\Field\Http\EmergenceController;
use App\Field\Http\FirstPassController;
use App\Field\Http\MonitorController;
use App\Field\Http\SettingController;
use App\Field\Http\ToolbarLevelController;
use App\Field\Http\WatchController;
use App\Field\Http\YieldCurveController;
use App\Http\Middleware\DevicesOnly;
use App\Http\Middleware\FewAtOnce;
use App\Http\Middleware\NeedsSession;
use App\Http\Middleware\NotesExport;
use App\Http\Middleware\SpeaksForItself;
use App\Http\Middleware\StillBelongs;
use App\Models\Bench\Device;
use App\Opener\Http\ContactController;
use App\Parts\Http\LedgerController;
use App\Parts\Http\OrderController;
use App\Parts\Http\PartTypeController;
use App\Parts\Http\StoreController;
use App\Parts\Http\SupplierController;
use App\People\Http\ActivityController;
use App\People\Http\DeviceController;
use App\People\Http\GuestController;
use App\People\Http\InvitationController;
use App\People\Http\MeController;
use App\People\Http\PasswordController;
use App\People\Http\PeopleController;
use App\People\Http\SessionController;
use App\People\Http\SetUpController;
use App\Plan\Http\DecideController;
use App\Plan\Http\PolicyController;
use App\Record\Backup\Http\BackupController;
use App\Record\Import\Http\ImportController;
use App\Record\Parcel\Http\ParcelController;
use App\Season\Http\SeasonController;
use App\Spec\Http\AimController;
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
use App\Work\Http\LubricationController;
use App\Work\Http\WorkController;
use App\Work\Http\WorkLogController;
use App\Yard\Http\PlanterController;
use App\Yard\Http\WorkshopController;
use App\Yard\Http\YardController;
use Illuminate\Support\Facades\Route;

Route::pattern('planter', '[0-9]{1,18}');
Route::pattern('specSheet', '[0-9]{1,18}');
Route::pattern('pack', '[0-9]{1,18}');
Route::pattern('partType', '[0-9]{1,18}');
Route::pattern('person', '[0-9]{1,18}');
Route::pattern('invitation', '[0-9]{1,18}');
Route::pattern('import', '[0-9]{1,18}');
Route::pattern('supplier', '[0-9]{1,18}');
Route::pattern('order', '[0-9]{1,18}');
Route::pattern('aim', '[0-9]{1,18}');
Route::pattern('other', '[0-9]{1,18}');
Route::pattern('stand', '[0-9]{1,18}');
Route::pattern('seedLot', '[0-9]{1,18}');
Route::pattern('disc', '[0-9]{1,18}');
Route::pattern('meter', '[0-9]{1,18}');

Route::get('welcome', [SetUpController::class, 'show']);
Route::middleware(NeedsSession::class)->group(function (): void {
    Route::post('sign-in', [SessionController::class, 'store']);
    Route::post('guest', [SessionController::class, 'guest']);
    Route::post('set-up', [SetUpController::class, 'store']);
    Route::post('invitations/look', [InvitationController::class, 'look']);
    Route::post('invitations/accept', [InvitationController::class, 'accept']);
    Route::post('password/forgot', [PasswordController::class, 'forgot']);
    Route::post('password/reset', [PasswordController::class, 'reset']);
});

// Test stands and row monitors, by tokens of their own.
Route::middleware(['auth:sanctum', DevicesOnly::class.':'.Device::STAND])->prefix('stand')->group(function (): void {
    Route::post('hello', [StandDeviceController::class, 'hello']);
    Route::post('runs/{run}', [StandDeviceController::class, 'tells']);
});

Route::middleware(['auth:sanctum', DevicesOnly::class.':'.Device::MONITOR])->prefix('monitor')->group(function (): void {
    Route::post('hello', [MonitorController::class, 'hello']);
    Route::post('runs/{run}', [MonitorController::class, 'tells']);
});

// What belongs to somebody else is not there; only then it is asked whether the caller's role may do it: see, record, set, run.
Route::middleware(['auth:sanctum', SpeaksForItself::class, StillBelongs::class, 'throttle:writes'])->group(function (): void {
    Route::post('sign-out', [SessionController::class, 'destroy'])->can('see');
    Route::get('me', [MeController::class, 'show'])->can('see');
    Route::patch('me', [MeController::class, 'update'])->can('see');
    Route::put('me/password', [PasswordController::class, 'update'])->can('record');
    Route::get('me/devices', [DeviceController::class, 'index'])->can('see');
    Route::delete('me/devices', [DeviceController::class, 'others'])->can('record');
    Route::delete('me/devices/{device}', [DeviceController::class, 'destroy'])->can('record');
    Route::get('yard', YardController::class)->can('see');

    Route::get('activity', ActivityController::class)->can('run');
    Route::get('backups', BackupController::class)->can('run');
    Route::get('workshop/parcel', ParcelController::class)->can('run');
    Route::get('people', [PeopleController::class, 'index'])->can('run');
    Route::post('people/invitations', [InvitationController::class, 'store'])->can('run');
    Route::delete('people/invitations/{invitation}', [InvitationController::class, 'destroy'])->can('manage', 'invitation')->can('run');
    Route::patch('people/{person}', [PeopleController::class, 'update'])->can('manage', 'person')->can('run');
    Route::post('people/{person}/reset-link', [PeopleController::class, 'resetLink'])->can('manage', 'person')->can('run');

    Route::get('spec-sheets', [SpecSheetController::class, 'index'])->can('record');
    Route::get('spec-sheets/{specSheet}', [SpecSheetController::class, 'show'])->can('view', 'specSheet')->can('record');
    Route::put('spec-sheets/{specSheet}', [SpecSheetController::class, 'update'])->can('update', 'specSheet')->can('set');
    Route::post('spec-sheets/{specSheet}/preview', [SpecSheetController::class, 'preview'])->can('update', 'specSheet')->can('set');
    Route::post('spec-sheets/{specSheet}/reset', [SpecSheetController::class, 'reset'])->can('update', 'specSheet')->can('set');
    Route::post('spec-sheets/{specSheet}/own-checks', [SpecSheetController::class, 'addCheck'])->can('update', 'specSheet')->can('set');
    Route::delete('spec-sheets/{specSheet}/own-checks/{check}', [SpecSheetController::class, 'removeCheck'])->can('update', 'specSheet')->can('set');
    Route::post('spec-sheets/{specSheet}/copies', [SpecSheetController::class, 'copy'])->can('view', 'specSheet')->can('set');

    Route::get('workshop', [WorkshopController::class, 'show'])->can('record');
    Route::patch('workshop', [WorkshopController::class, 'update'])->can('set');
    Route::put('workshop/yield-curve', [YieldCurveController::class, 'update'])->can('set');
    Route::get('part-types', [PartTypeController::class, 'index'])->can('record');
    Route::post('part-types', [PartTypeController::class, 'store'])->can('set');
    Route::put('part-types/{partType}', [PartTypeController::class, 'update'])->can('view', 'partType')->can('set');
    Route::get('part-types/{partType}/lives', [PartTypeController::class, 'lives'])->can('view', 'partType')->can('record');

    Route::get('store', [StoreController::class, 'show'])->can('record');
    Route::post('store/moves', [StoreController::class, 'move'])->can('record');
    Route::get('suppliers', [SupplierController::class, 'index'])->can('record');
    Route::post('suppliers', [SupplierController::class, 'store'])->can('set');
    Route::put('suppliers/{supplier}', [SupplierController::class, 'update'])->can('view', 'supplier')->can('set');
    Route::post('suppliers/{supplier}/ask', [SupplierController::class, 'ask'])->can('view', 'supplier')->can('record')->middleware(FewAtOnce::class.':2');
    Route::get('orders', [OrderController::class, 'index'])->can('record');
    Route::post('orders', [OrderController::class, 'store'])->can('set');
    Route::post('orders/draft', [OrderController::class, 'draft'])->can('set');
    Route::middleware('can:view,order')->prefix('orders/{order}')->group(function (): void {
        Route::put('/', [OrderController::class, 'update'])->can('set');
        Route::post('receive', [OrderController::class, 'receive'])->can('record');
        Route::get('order.pdf', [OrderController::class, 'pdf'])->can('record')->middleware(NotesExport::class);
        Route::get('order.csv', [OrderController::class, 'csv'])->can('record')->middleware(NotesExport::class);
    });

    Route::get('meters', [MetersController::class, 'show'])->can('record');
    Route::post('meters', [MetersController::class, 'store'])->can('set');
    Route::put('meters/{meter}', [MetersController::class, 'update'])->can('view', 'meter')->can('set');
    Route::post('meters/moves', [MetersController::class, 'move'])->can('record');
    Route::get('seed', [SeedController::class, 'show'])->can('record');
    Route::post('seed/lots', [SeedController::class, 'addLot'])->can('set');
    Route::put('seed/lots/{seedLot}', [SeedController::class, 'editLot'])->can('view', 'seedLot')->can('set');
    Route::get('lubrication', [LubricationController::class, 'index'])->can('record');
    Route::put('lubrication/{point}', [LubricationController::class, 'update'])->can('set');
    Route::get('aims', [AimController::class, 'index'])->can('record');
    Route::post('aims', [AimController::class, 'store'])->can('set');
    Route::put('aims/{aim}', [AimController::class, 'update'])->can('view', 'aim')->can('set');
    Route::post('seed/discs', [SeedController::class, 'addDisc'])->can('set');
    Route::put('seed/discs/{disc}', [SeedController::class, 'editDisc'])->can('view', 'disc')->can('set');
    Route::post('seed/moves', [SeedController::class, 'move'])->can('record');
    Route::get('stands', [StandController::class, 'index'])->can('set');
    Route::post('stands', [StandController::class, 'store'])->can('set');
    Route::delete('stands/{stand}', [StandController::class, 'destroy'])->can('view', 'stand')->can('set');

    Route::get('packs', [PackController::class, 'index'])->can('record');
    Route::post('packs', [PackController::class, 'store'])->can('set');
    Route::put('packs/{pack}', [PackController::class, 'update'])->can('update', 'pack')->can('set');
    Route::delete('packs/{pack}', [PackController::class, 'destroy'])->can('update', 'pack')->can('set');

    Route::post('planters', [PlanterController::class, 'store'])->can('set');
    Route::middleware('can:view,planter')->prefix('planters/{planter}')->group(function (): void {
        Route::get('/', [PlanterController::class, 'show'])->can('see');
        Route::put('/', [PlanterController::class, 'update'])->can('set');
        Route::post('guests', [GuestController::class, 'store'])->can('run');
        Route::get('board', [BoardController::class, 'show'])->can('see');
        Route::get('face', [BoardController::class, 'face'])->can('see');
        Route::get('history', HistoryController::class)->can('see');
        Route::get('rows/{row}', RowController::class)->where('row', '[0-9]{1,3}')->can('see');
        Route::get('guide', [WalkController::class, 'guide'])->can('record');
        Route::get('toolbar-level', ToolbarLevelController::class)->can('see');
        Route::get('blank.pdf', [PrintController::class, 'blank'])->can('see')->middleware(NotesExport::class);
        Route::get('ledger', [LedgerController::class, 'show'])->can('see');
        Route::post('ledger', [LedgerController::class, 'store'])->can('record');
        Route::get('forecast', [WearController::class, 'forecast'])->can('see');
        Route::get('wear-chart', [WearController::class, 'chart'])->can('see');
        Route::get('contact', ContactController::class)->can('see');
        Route::get('acres', [AcresController::class, 'index'])->can('see');
        Route::post('acres', [AcresController::class, 'store'])->can('record');
        Route::get('acres/log.csv', [AcresController::class, 'csv'])->can('see')->middleware(NotesExport::class);
        Route::get('season', [SeasonController::class, 'show'])->can('record');
        Route::put('season', [SeasonController::class, 'update'])->can('set');
        Route::get('season/speed', [SeasonController::class, 'speed'])->can('record');
        Route::get('season/fields.csv', [SeasonController::class, 'fields'])->can('record')->middleware(NotesExport::class);
        Route::post('season/fields', [SeasonController::class, 'readFields'])->can('set');
        Route::get('season/countdown.ics', [SeasonController::class, 'countdown'])->can('record')->middleware(NotesExport::class);
        Route::get('decide', [DecideController::class, 'show'])->can('record');
        Route::get('settings/for/{other}', [SettingController::class, 'for'])->can('view', 'other')->can('record');
        Route::get('settings', [SettingController::class, 'index'])->can('record');
        Route::post('settings', [SettingController::class, 'store'])->can('record');
        Route::get('settings/sheet.pdf', [SettingController::class, 'pdf'])->can('record')->middleware(NotesExport::class);
        Route::get('settings/sheet.csv', [SettingController::class, 'csv'])->can('record')->middleware(NotesExport::class);
        Route::get('first-pass', [FirstPassController::class, 'show'])->can('record');
        Route::post('first-pass/digs', [FirstPassController::class, 'dig'])->can('record');
        Route::post('first-pass/sign-offs', [FirstPassController::class, 'sign'])->can('record');
        Route::get('emergence', [EmergenceController::class, 'show'])->can('record');
        Route::post('emergence', [EmergenceController::class, 'store'])->can('record');
        Route::post('diagnosis', DiagnosisController::class)->can('record');
        Route::put('shared-rows', [WatchController::class, 'share'])->can('set');
        Route::get('watch', [WatchController::class, 'show'])->can('record');
        Route::post('watch', [WatchController::class, 'store'])->can('record');
        Route::get('watch/now', [WatchController::class, 'now'])->can('record');
        Route::get('watch/now/stream', [WatchController::class, 'live'])->can('record');
        Route::scopeBindings()->prefix('watch/{watchRun}')->group(function (): void {
            Route::post('practice', [WatchController::class, 'practice'])->can('record');
            Route::post('end', [WatchController::class, 'end'])->can('record');
            Route::post('entries', [WatchController::class, 'record'])->can('record');
        });
        Route::get('calculators', [CalculatorController::class, 'index'])->can('record');
        Route::post('calculators/{calculation}', [CalculatorController::class, 'work'])->can('record');
        Route::get('bench', [BenchController::class, 'show'])->can('record');
        Route::post('bench', [BenchController::class, 'store'])->can('record');
        Route::get('bench/report.pdf', [BenchReportController::class, 'show'])->can('record')->middleware(NotesExport::class);
        Route::post('bench/report', [BenchReportController::class, 'read'])->can('record');
        Route::post('bench/counts', [BenchReportController::class, 'store'])->can('record');
        Route::get('bench/compare', [BenchReportController::class, 'compare'])->can('record');
        Route::get('bench/advice', [BenchController::class, 'advice'])->can('record');
        Route::post('bench/runs', [StandRunController::class, 'store'])->can('record');
        Route::get('bench/runs/now', [StandRunController::class, 'now'])->can('record');
        Route::get('bench/runs/now/stream', [StandRunController::class, 'live'])->can('record');
        Route::scopeBindings()->prefix('bench/runs/{standRun}')->group(function (): void {
            Route::post('practice', [StandRunController::class, 'practice'])->can('record');
            Route::post('stop', [StandRunController::class, 'stop'])->can('record');
            Route::get('times.csv', [StandRunController::class, 'times'])->can('record')->middleware(NotesExport::class);
        });
        Route::get('work', [WorkController::class, 'show'])->can('record');
        Route::put('work/plan', [WorkController::class, 'keep'])->can('set');
        Route::get('work/hands', [WorkLogController::class, 'show'])->can('record');
        Route::post('work/own', [WorkLogController::class, 'add'])->can('record');
        Route::post('work/hands', [WorkLogController::class, 'store'])->can('record');
        Route::get('work/plan.csv', [WorkController::class, 'csv'])->can('record')->middleware(NotesExport::class);
        Route::get('work/plan.ics', [WorkController::class, 'calendar'])->can('record')->middleware(NotesExport::class);
        Route::get('work/cards.pdf', [WorkController::class, 'cards'])->can('record')->middleware(NotesExport::class);
        Route::get('work/ready.pdf', [WorkController::class, 'ready'])->can('record')->middleware(NotesExport::class);
        Route::get('work/rain', [WorkController::class, 'rain'])->can('record');
        Route::get('work/season', [WorkController::class, 'season'])->can('record');
        Route::get('policies', [PolicyController::class, 'show'])->can('record');
        Route::post('policy', [PolicyController::class, 'store'])->can('set');
        Route::get('imports', [ImportController::class, 'index'])->can('set');
        Route::post('imports', [ImportController::class, 'store'])->can('set');
        Route::get('imports/{import}', [ImportController::class, 'show'])->scopeBindings()->can('set');
        Route::post('imports/{import}/cancel', [ImportController::class, 'cancel'])->scopeBindings()->can('set');
        Route::get('walks', [WalkController::class, 'index'])->can('see');
        Route::post('walks', [WalkController::class, 'store'])->can('record');
    });

    Route::middleware('can:view,photo')->prefix('photos/{photo}')->group(function (): void {
        Route::get('/', [PhotoController::class, 'show'])->can('see');
        Route::get('thumbnail', [PhotoController::class, 'thumbnail'])->can('see');
    });

    Route::middleware('can:view,walk')->prefix('walks/{walk}')->group(function (): void {
        Route::get('/', [WalkController::class, 'show'])->can('see');
        Route::patch('/', [WalkController::class, 'update'])->can('record');
        Route::post('finish', [WalkController::class, 'finish'])->can('record');
        Route::post('reopen', [WalkController::class, 'reopen'])->can('record');
        Route::post('readings', [ReadingController::class, 'store'])->can('record');
        Route::get('news', [WalkController::class, 'news'])->can('record');
        Route::post('notes', NoteController::class)->can('record');
        Route::post('photos', [PhotoController::class, 'store'])->can('record')->middleware(FewAtOnce::class.':2');
        Route::post('decisions', [DecideController::class, 'store'])->can('set');
        Route::get('depth-index', DepthIndexController::class)->can('see');
        Route::get('export.csv', WalkExportController::class)->can('see')->middleware(NotesExport::class);
        Route::get('sheet.pdf', [PrintController::class, 'walk'])->can('see')->middleware(NotesExport::class);
    });
});

<?php

declare(strict_types=1);

namespace App\Record\Parcel;

use App\Models\Aim;
use App\Models\Bench\BenchRun;
use App\Models\Bench\Disc;
use App\Models\Bench\Meter;
use App\Models\Bench\MeterMove;
use App\Models\Bench\SeedLot;
use App\Models\Bench\SeedMove;
use App\Models\Bench\StandDrop;
use App\Models\Bench\StandRun;
use App\Models\Field\Dig;
use App\Models\Field\Setting;
use App\Models\Field\SignOff;
use App\Models\Field\StandCount;
use App\Models\Field\WatchAlarm;
use App\Models\Field\WatchBack;
use App\Models\Field\WatchEntry;
use App\Models\Field\WatchPass;
use App\Models\Field\WatchRun;
use App\Models\Manual;
use App\Models\OwnCheck;
use App\Models\Parts\LedgerEvent;
use App\Models\Parts\Order;
use App\Models\Parts\PartType;
use App\Models\Parts\StockMove;
use App\Models\Parts\Supplier;
use App\Models\People\Activity;
use App\Models\Plan\Decision;
use App\Models\Plan\PolicyChoice;
use App\Models\Plan\SeasonPlan;
use App\Models\Planter;
use App\Models\Record\Import;
use App\Models\SpecSheet;
use App\Models\User;
use App\Models\Walk\Note;
use App\Models\Walk\Pack;
use App\Models\Walk\Photo;
use App\Models\Walk\Reading;
use App\Models\Walk\Walk;
use App\Models\Wear\AcresEntry;
use App\Models\Work\Joint;
use App\Models\Work\LubricationPoint;
use App\Models\Work\OwnJob;
use App\Models\Work\WorkEvent;
use App\Models\Workshop;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Migrations\Migrator;

/**
 * What a parcel holds: a zip with about.json, one file of a JSON object a line for each table below, sheets in CSV for
 * reading, and the pictures. Layout: docs/formats.md.
 */
final class Content
{
    public const FORMAT = 1;

    public const ABOUT = 'about.json';

    /**
     * The tables in the order in which they can be filled, each with the columns that name something of another one.
     *
     * @var array<class-string<Model>, array<string, class-string<Model>>>
     */
    public const TABLES = [
        Workshop::class => [],
        SpecSheet::class => ['workshop_id' => Workshop::class, 'copied_from_id' => SpecSheet::class],
        OwnCheck::class => ['workshop_id' => Workshop::class],
        PartType::class => ['workshop_id' => Workshop::class],
        Pack::class => ['workshop_id' => Workshop::class],
        User::class => ['workshop_id' => Workshop::class, 'made_by' => User::class],
        Planter::class => ['workshop_id' => Workshop::class, 'spec_sheet_id' => SpecSheet::class],
        Walk::class => ['planter_id' => Planter::class, 'started_by' => User::class, 'finished_by' => User::class],
        Reading::class => ['planter_id' => Planter::class, 'user_id' => User::class],
        Note::class => ['planter_id' => Planter::class, 'user_id' => User::class],
        Photo::class => ['planter_id' => Planter::class, 'user_id' => User::class],
        LedgerEvent::class => ['planter_id' => Planter::class, 'user_id' => User::class, 'part_type_id' => PartType::class],
        SeedLot::class => ['workshop_id' => Workshop::class],
        AcresEntry::class => ['planter_id' => Planter::class, 'user_id' => User::class, 'seed_lot_id' => SeedLot::class],
        Supplier::class => ['workshop_id' => Workshop::class],
        Order::class => ['workshop_id' => Workshop::class, 'supplier_id' => Supplier::class, 'user_id' => User::class],
        StockMove::class => ['workshop_id' => Workshop::class, 'part_type_id' => PartType::class, 'user_id' => User::class],
        Disc::class => ['workshop_id' => Workshop::class],
        Aim::class => ['workshop_id' => Workshop::class],
        Joint::class => ['workshop_id' => Workshop::class, 'planter_id' => Planter::class],
        Manual::class => ['workshop_id' => Workshop::class, 'planter_id' => Planter::class, 'spec_sheet_id' => SpecSheet::class, 'user_id' => User::class],
        LubricationPoint::class => ['workshop_id' => Workshop::class],
        SeedMove::class => ['workshop_id' => Workshop::class, 'seed_lot_id' => SeedLot::class, 'user_id' => User::class],
        Meter::class => ['workshop_id' => Workshop::class],
        MeterMove::class => ['workshop_id' => Workshop::class, 'meter_id' => Meter::class, 'planter_id' => Planter::class, 'user_id' => User::class],
        SeasonPlan::class => ['planter_id' => Planter::class],
        Decision::class => ['planter_id' => Planter::class, 'user_id' => User::class],
        OwnJob::class => ['planter_id' => Planter::class, 'user_id' => User::class],
        WorkEvent::class => ['planter_id' => Planter::class, 'user_id' => User::class],
        StandRun::class => ['planter_id' => Planter::class, 'user_id' => User::class],
        StandDrop::class => [],
        BenchRun::class => ['planter_id' => Planter::class, 'user_id' => User::class, 'seed_lot_id' => SeedLot::class],
        Setting::class => ['planter_id' => Planter::class, 'user_id' => User::class],
        Dig::class => ['planter_id' => Planter::class, 'user_id' => User::class],
        StandCount::class => ['planter_id' => Planter::class, 'user_id' => User::class],
        SignOff::class => ['planter_id' => Planter::class, 'user_id' => User::class],
        WatchRun::class => ['planter_id' => Planter::class, 'user_id' => User::class],
        WatchPass::class => [],
        WatchAlarm::class => [],
        WatchBack::class => ['watch_alarm_id' => WatchAlarm::class],
        WatchEntry::class => ['planter_id' => Planter::class, 'user_id' => User::class, 'watch_alarm_id' => WatchAlarm::class],
        PolicyChoice::class => ['planter_id' => Planter::class, 'user_id' => User::class],
        Import::class => ['planter_id' => Planter::class, 'user_id' => User::class],
        Activity::class => ['workshop_id' => Workshop::class, 'causer_id' => User::class],
    ];

    private const RUN = "state IN ('ended', 'short') AND planter_id IN (SELECT id FROM planters WHERE workshop_id = ?)";

    private const WATCHED = "state = 'ended' AND planter_id IN (SELECT id FROM planters WHERE workshop_id = ?)";

    /**
     * Lists of a table whose items name something of another one, each with the item's field that does.
     *
     * @var array<class-string<Model>, array<string, array{string, class-string<Model>}>>
     */
    public const WITHIN = [
        Supplier::class => ['prices' => ['part_type_id', PartType::class], 'answers' => ['part_type_id', PartType::class]],
        Order::class => ['lines' => ['part_type_id', PartType::class]],
        Planter::class => ['other_rows' => ['spec_sheet_id', SpecSheet::class]],
        SeasonPlan::class => ['fields' => ['seed_lot_id', SeedLot::class]],
    ];

    /** What only this installation may know, or what it makes anew. */
    public const LEFT_OUT = [
        User::class => ['password', 'remember_token', 'link_sha256', 'link_expires_at', 'planter_id'],
        Import::class => ['report', 'mapping'],
        // Test stands and monitors are let in anew.
        StandRun::class => ['stand_id'],
        WatchRun::class => ['stand_id'],
    ];

    /**
     * Which lines of a table are the workshop's; what an event takes the place of comes before it.
     *
     * @param  class-string<Model>  $model
     * @return string behind FROM, with the workshop's number for the mark
     */
    public static function whose(string $model): string
    {
        $table = self::table($model);

        return match (true) {
            $model === Workshop::class => 'workshops WHERE id = ?',
            // Typical sheets that something of the workshop goes by come along by their names.
            $model === SpecSheet::class => 'spec_sheets WHERE workshop_id = ? OR workshop_id IS NULL ORDER BY workshop_id NULLS FIRST, id',
            // Guests come by links, which stay behind.
            $model === User::class => "users WHERE workshop_id = ? AND role <> 'guest' ORDER BY id",
            in_array($model, [StockMove::class, SeedMove::class], true) => "{$table} WHERE workshop_id = ? ORDER BY recorded_at, id",
            isset(self::TABLES[$model]['workshop_id']) => "{$table} WHERE workshop_id = ? ORDER BY id",
            $model === Import::class => "imports WHERE planter_id IN (SELECT id FROM planters WHERE workshop_id = ?) AND state = 'done' AND mode <> 'preview' ORDER BY id",
            // What is still under way is not over.
            $model === WatchRun::class => 'watch_runs WHERE '.self::WATCHED.' ORDER BY made_at, id',
            $model === WatchPass::class => 'watch_passes WHERE watch_run_id IN (SELECT id FROM watch_runs WHERE '.self::WATCHED.') ORDER BY watch_run_id, number',
            $model === WatchAlarm::class => 'watch_alarms WHERE watch_run_id IN (SELECT id FROM watch_runs WHERE '.self::WATCHED.') ORDER BY id',
            $model === WatchBack::class => 'watch_backs WHERE watch_run_id IN (SELECT id FROM watch_runs WHERE '.self::WATCHED.') ORDER BY watch_alarm_id, row_number',
            $model === WatchEntry::class => 'watch_entries WHERE watch_run_id IN (SELECT id FROM watch_runs WHERE '.self::WATCHED.') ORDER BY recorded_at, id',
            $model === StandRun::class => 'stand_runs WHERE '.self::RUN.' ORDER BY made_at, id',
            $model === StandDrop::class => 'stand_drops WHERE stand_run_id IN (SELECT id FROM stand_runs WHERE '.self::RUN.') ORDER BY stand_run_id, seq',
            $model === SeasonPlan::class => 'season_plans WHERE planter_id IN (SELECT id FROM planters WHERE workshop_id = ?) ORDER BY season, id',
            $model === Walk::class => 'walks WHERE planter_id IN (SELECT id FROM planters WHERE workshop_id = ?) ORDER BY started_at, id',
            default => "{$table} WHERE planter_id IN (SELECT id FROM planters WHERE workshop_id = ?) ORDER BY recorded_at, id",
        };
    }

    /** @param  class-string<Model>  $model */
    public static function table(string $model): string
    {
        return (new $model)->getTable();
    }

    /** @param  class-string<Model>  $model */
    public static function file(string $model): string
    {
        return 'tables/'.self::table($model).'.ndjson';
    }

    /** @return list<string> */
    public static function migrations(Migrator $migrator): array
    {
        return array_values($migrator->getRepository()->getRan());
    }
}

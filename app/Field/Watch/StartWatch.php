<?php

declare(strict_types=1);

namespace App\Field\Watch;

use App\Models\Field\WatchRun;
use App\Models\Planter;
use App\Models\User;
use App\Record\Fields;
use App\Record\Refused;
use Carbon\CarbonImmutable;
use Illuminate\Database\UniqueConstraintViolationException;
use Illuminate\Support\Facades\DB;
use Ustrel\Core\Field\Watch\PracticeFault;

/** Sets up that a planter is watched: it waits for its row monitor, or a made-up field tells of it. */
final readonly class StartWatch
{
    private const LONGEST_NAME = 80;

    /** @var array{int, int} */
    private const ACRES = [50, 100_000];

    /** Acres of one planter to a false alarm. */
    public const USUAL_ACRES = 1600;

    /**
     * @throws Refused
     */
    public function __invoke(User $by, Planter $planter, Fields $fields): WatchRun
    {
        $id = $fields->id();
        $known = WatchRun::query()->toShow()->find($id);
        if ($known !== null) {
            return $known->planter_id === $planter->id ? $known : throw Refused::because('id', 'refused.id_taken');
        }
        $run = [
            'id' => $id, 'planter_id' => $planter->id, 'user_id' => $by->id, 'state' => 'waiting', 'made_at' => CarbonImmutable::now(),
            'field' => $fields->text('field', self::LONGEST_NAME, 'acres.field'),
            'acres' => $fields->whole('acres', ...self::ACRES, otherwise: 'watch.acres') ?? self::USUAL_ACRES,
            'practice' => $fields->flag('practice', 'refused.unknown_flag') ? self::practice($planter, $fields) : null,
        ];
        try {
            return DB::transaction(static fn (): WatchRun => WatchRun::query()->create($run));
        } catch (UniqueConstraintViolationException) {
            return WatchRun::query()->toShow()->where('planter_id', $planter->id)->find($id) ?? throw Refused::because('field', 'watch.under_way');
        }
    }

    /** @return array{fault: string, number: int, rows: list<int>} */
    private static function practice(Planter $planter, Fields $fields): array
    {
        $fault = $fields->oneOf('fault', PracticeFault::class, 'watch.fault') ?? PracticeFault::None;
        $number = random_int(1, 1_000_000);
        $shared = SharedRows::of($planter) ?: SharedRows::proposed($planter);
        $struck = $fault === PracticeFault::Shared && $shared !== [] ? $shared[$number % count($shared)]->rows : [$number % $planter->row_count + 1];

        return ['fault' => $fault->value, 'number' => $number, 'rows' => $struck];
    }
}

<?php

declare(strict_types=1);

namespace App\Wear;

use App\Models\Planter;
use App\Models\User;
use App\Record\Outcome;
use App\Record\RecordProjector;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;
use stdClass;
use Symfony\Component\HttpKernel\Exception\ConflictHttpException;

/** Writes a line into a planter's acres log, or one that takes an earlier line's place or takes it back. Sending it again changes nothing. */
final readonly class LogAcres
{
    public function __construct(private RecordProjector $projector)
    {
    }

    /**
     * @param  string|null  $supersedes  the line whose place this one takes
     * @param  bool  $withdraw  take that line back instead
     *
     * @throws ConflictHttpException where the id is taken by a line with other content
     */
    public function __invoke(Planter $planter, User $by, string $id, AcresInput $input, ?string $supersedes = null, bool $withdraw = false): Outcome
    {
        return DB::transaction(function () use ($planter, $by, $id, $input, $supersedes, $withdraw): Outcome {
            $planter = Planter::query()->with(['specSheet', 'workshop'])->lockForUpdate()->findOrFail($planter->id);
            $row = ['id' => $id, 'planter_id' => $planter->id, 'supersedes' => $supersedes, 'withdrawn' => $withdraw] + $input->columns();
            $known = DB::table('acres_log')->where('id', $id)->first();
            if ($known !== null) {
                return self::saysTheSame($known, $row) ? Outcome::Known : throw new ConflictHttpException(__('refused.id_taken'));
            }
            $since = CarbonImmutable::parse($input->day);
            if ($supersedes !== null) {
                $since = min($since, $this->corrected($planter, $supersedes));
            }
            DB::table('acres_log')->insert($row + ['recorded_at' => CarbonImmutable::now()->format('Y-m-d H:i:s.vP'), 'user_id' => $by->id]);
            $this->projector->project($planter, $since);

            return Outcome::Stored;
        });
    }

    private function corrected(Planter $planter, string $id): CarbonImmutable
    {
        $day = DB::table('acres_log AS old')
            ->where('old.id', $id)
            ->where('old.planter_id', $planter->id)
            ->whereNotExists(static fn ($later) => $later->from('acres_log AS later')->whereColumn('later.supersedes', 'old.id'))
            ->value('day') ?? throw ValidationException::withMessages(['supersedes' => __('acres.gone')]);

        return CarbonImmutable::parse($day);
    }

    /** @param  array<string, mixed>  $row */
    private static function saysTheSame(stdClass $known, array $row): bool
    {
        foreach (array_diff(array_keys($row), ['shares']) as $column) {
            if ((string) $known->{$column} !== (string) $row[$column]) {
                return false;
            }
        }

        return json_decode($known->shares, true) == json_decode($row['shares'], true);
    }
}

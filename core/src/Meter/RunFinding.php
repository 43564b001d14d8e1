<?php

declare(strict_types=1);

namespace Ustrel\Core\Meter;

use Ustrel\Core\Spec\Aims;
use Ustrel\Core\Spec\CheckKey;
use Ustrel\Core\Spec\Judging\Chip;
use Ustrel\Core\Spec\Judging\State;

/**
 * What a run on the stand says of one check of its row: domain, 8 (skips, doubles) and 14. That it was run at all is a figure, seasons since then;
 * what is to be looked at is a state.
 */
final readonly class RunFinding
{
    /** First suspects, the likeliest first: of them the first that the row unit has. */
    private const SUSPECTS = [
        'skips' => ['meter_seal', 'meter_brush', 'meter_disc'],
        'doubles' => ['meter_singulator', 'meter_knockout_wheel', 'meter_brush'],
        'both' => ['meter_disc'],
    ];

    /** @param  list<Chip>  $chips */
    private function __construct(
        public CheckKey $check,
        public ?State $state,
        public array $chips = [],
    ) {
    }

    /**
     * @param  bool  $isPeriodic  the same cell goes wrong turn by turn
     * @param  array<string, mixed>  $checks  of the row unit, by key
     * @param  float  $singulation  that is good for this seed, as a share
     * @return list<self>
     */
    public static function of(Counts $counts, bool $isPeriodic, array $checks, float $singulation = Aims::SINGULATION): array
    {
        $findings = [new self(CheckKey::from('meter_bench_seasons'), null)];
        if ($isPeriodic) {
            $findings[] = new self(CheckKey::from('meter_disc'), State::Watch, [Chip::HolesPlugged]);
        } elseif (1 - $counts->wrong()->low < $singulation) {
            foreach (self::SUSPECTS[$counts->lean() ?? 'both'] as $suspect) {
                if (isset($checks[$suspect])) {
                    $findings[] = new self(CheckKey::from($suspect), State::Watch);
                    break;
                }
            }
        }

        return array_values(array_filter($findings, static fn (self $finding): bool => isset($checks[$finding->check->value])));
    }
}

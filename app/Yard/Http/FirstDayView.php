<?php

declare(strict_types=1);

namespace App\Yard\Http;

use App\Http\Api\Schema;
use App\Models\FirstDay\State;
use App\Models\FirstDay\Step;
use App\Models\Workshop;
use App\Yard\FirstDay\FirstDay;

final readonly class FirstDayView extends Schema
{
    public function __construct(
        /** @var list<array{step: Step, state: State}> In the order in which they are done */
        public array $steps,
        /** The shop’s first planter, where the steps lead */
        public ?int $planter_id,
        /** Its newest walk, of which the findings are printed */
        public ?string $walk_id,
        /** The planter to play with, if there is one */
        public ?int $sample_id,
    ) {
    }

    public static function of(Workshop $workshop, FirstDay $firstDay): self
    {
        $states = $firstDay->of($workshop);
        $planter = $workshop->ownPlanters()->orderBy('id')->first();

        return new self(
            array_map(static fn (string $step, State $state): array => ['step' => Step::from($step), 'state' => $state], array_keys($states), $states),
            $planter?->id,
            $planter?->walks()->latest('started_at')->first()?->id,
            $workshop->planters()->where('is_sample', true)->first()?->id,
        );
    }
}

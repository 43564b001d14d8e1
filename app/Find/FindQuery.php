<?php

declare(strict_types=1);

namespace App\Find;

use App\Models\Bench\Meter;
use App\Models\Bench\SeedLot;
use App\Models\Manual;
use App\Models\Parts\PartType;
use App\Models\Plan\SeasonPlan;
use App\Models\Planter;
use App\Models\SpecSheet;
use App\Models\User;
use App\Models\Walk\Note;
use App\Models\Workshop;
use App\Work\PlannedCard;
use App\Work\PlannedCards;
use App\Work\WorkWords;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Query\Builder;
use Ustrel\Core\Field\Calc\Calculation;

/**
 * Reads all that somebody can find by name. It is one short list, so that a device keeps it and finds without a signal; screens,
 * help and rows are known to the device itself.
 */
final readonly class FindQuery
{
    /** Of all notes of the shop the newest are listed. */
    public const MOST_NOTES = 2_000;

    public function __construct(private PlannedCards $cards)
    {
    }

    /** @return list<Findable> */
    public function of(User $user): array
    {
        $workshop = $user->workshop;
        $planters = $workshop->planters()->when($user->planter_id !== null, static fn ($of) => $of->whereKey($user->planter_id))->orderBy('name')->get()->keyBy('id');
        if ($user->cannot('record')) {
            return self::planters($planters);
        }

        return [...self::planters($planters), ...self::fields($planters), ...$this->cards($workshop, $planters), ...self::ofShop($workshop), ...self::manuals($workshop, $planters), ...self::notes($planters), ...array_map(
            static fn (Calculation $of): Findable => new Findable(FindKind::Calculator, __("calc.{$of->value}"), key: $of->value), Calculation::cases(),
        )];
    }

    /**
     * @param  Collection<int, Planter>  $planters
     * @return list<Findable>
     */
    private static function planters(Collection $planters): array
    {
        return array_values($planters->map(static fn (Planter $of): Findable => new Findable(
            FindKind::Planter, $of->name, implode(', ', array_filter([$of->farm, trans_choice('find.rows', $of->row_count, ['count' => $of->row_count])])), $of->id,
        ))->all());
    }

    /**
     * @param  Collection<int, Planter>  $planters
     * @return list<Findable> of the season that is planned now
     */
    private static function fields(Collection $planters): array
    {
        $found = [];
        foreach (SeasonPlan::query()->whereIn('planter_id', $planters->keys())->orderBy('planter_id')->get(['planter_id', 'season', 'fields']) as $plan) {
            $planter = $planters[$plan->planter_id] ?? null;
            if ($planter === null || $plan->season !== $planter->season()) {
                continue;
            }
            foreach ($plan->fields as $field) {
                $found[] = new Findable(FindKind::Field, $field['name'], implode(', ', array_filter([$field['crop'] ?? '', $planter->name])), $planter->id);
            }
        }

        return $found;
    }

    /**
     * @param  Collection<int, Planter>  $planters
     * @return list<Findable>
     */
    private function cards(Workshop $workshop, Collection $planters): array
    {
        return array_map(static fn (PlannedCard $of): Findable => new Findable(
            FindKind::Card, $of->title, implode(', ', [$planters[$of->planterId]->name ?? '', ...$of->people]), $of->planterId, $of->key,
        ), $this->cards->of($workshop));
    }

    /** @return list<Findable> part types, seed lots and meters */
    private static function ofShop(Workshop $workshop): array
    {
        $slots = static fn (PartType $of): string => implode(', ', array_map(static fn (string $slot): string => __("slot.{$slot}"), $of->slots));

        return [
            ...PartType::query()->where('workshop_id', $workshop->id)->orderBy('name')->orderBy('id')->get()->map(static fn (PartType $of): Findable => new Findable(
                FindKind::PartType, trim("{$of->name} {$of->own_number}"), $slots($of), key: (string) $of->id,
            ))->all(),
            ...SeedLot::query()->where('workshop_id', $workshop->id)->orderBy('name')->orderBy('id')->get()->map(static fn (SeedLot $of): Findable => new Findable(
                FindKind::SeedLot, $of->name, implode(', ', array_filter([$of->crop, $of->shape, $of->treatment, ...$of->former_names])), key: (string) $of->id,
            ))->all(),
            ...Meter::query()->where('workshop_id', $workshop->id)->orderBy('serial')->orderBy('id')->get()->map(static fn (Meter $of): Findable => new Findable(
                FindKind::Meter, __('find.meter', ['serial' => $of->serial]), $of->note, key: (string) $of->id,
            ))->all(),
        ];
    }

    /**
     * @param  Collection<int, Planter>  $planters
     * @return list<Findable>
     */
    private static function manuals(Workshop $workshop, Collection $planters): array
    {
        $manuals = Manual::query()->where('workshop_id', $workshop->id)->orderBy('name')->orderBy('id')->get();
        $sheets = SpecSheet::query()->whereKey($manuals->pluck('spec_sheet_id')->filter())->pluck('name', 'id');

        return array_values($manuals->map(static fn (Manual $of): Findable => new Findable(
            FindKind::Manual, $of->name, (string) ($planters[$of->planter_id]->name ?? $sheets[$of->spec_sheet_id] ?? ''), $of->planter_id, (string) $of->id,
        ))->all());
    }

    /**
     * @param  Collection<int, Planter>  $planters
     * @return list<Findable> the newest first
     */
    private static function notes(Collection $planters): array
    {
        $notes = Note::query()->whereIn('planter_id', $planters->keys())->where('withdrawn', false)
            ->whereNotExists(static fn (Builder $later): Builder => $later->from('notes AS later')->whereColumn('later.supersedes', 'notes.id'))
            ->orderByDesc('taken_at')->orderByDesc('id')->limit(self::MOST_NOTES)->get();

        return array_values($notes->map(static fn (Note $of): Findable => new Findable(
            FindKind::Note, $of->text, implode(', ', [$planters[$of->planter_id]->name ?? '', WorkWords::row($of->row_number), mb_strtolower(__("check.{$of->check_key->value}"))]), $of->planter_id, (string) $of->row_number,
        ))->all());
    }
}

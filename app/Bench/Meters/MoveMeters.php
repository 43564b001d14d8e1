<?php

declare(strict_types=1);

namespace App\Bench\Meters;

use App\Models\Bench\Meter;
use App\Models\Planter;
use App\Models\User;
use App\Models\Workshop;
use App\Record\Affected;
use App\Record\Change;
use App\Record\Inbox;
use App\Record\NotTaken;
use App\Record\Receipt;
use Illuminate\Validation\ValidationException;
use Ustrel\Core\Meter\Places\MeterStays;

/** Writes down where meters were put: all of it, or nothing. No row holds two at once. */
final readonly class MoveMeters
{
    public function __construct(
        private Change $change,
        private MetersQuery $meters,
    ) {
    }

    /**
     * @param  list<mixed>  $items  shape of each: the MeterMove schema of the OpenAPI document
     * @return list<Receipt>
     *
     * @throws NotTaken
     * @throws ValidationException where a row would hold two meters
     */
    public function __invoke(User $by, array $items): array
    {
        return $this->change->ofWorkshop($by->workshop_id, function (Workshop $workshop) use ($by, $items): array {
            $receipts = (new Inbox($workshop, $by))->takeWhole(new MeterMoves($workshop), $items, new Affected);
            $clash = MeterStays::clash($this->meters->stays($workshop->id));
            if ($clash !== null) {
                [$planter, $row] = $clash[0]->move->row ?? [0, 0];
                throw ValidationException::withMessages(['moves' => __('meters.clash', [
                    'planter' => Planter::query()->findOrFail($planter)->name, 'row' => $row,
                    'meter' => Meter::query()->findOrFail($clash[0]->move->meter)->serial, 'other' => Meter::query()->findOrFail($clash[1]->move->meter)->serial,
                ])]);
            }

            return $receipts;
        });
    }
}

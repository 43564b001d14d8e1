<?php

declare(strict_types=1);

namespace App\Work\Http;

use App\Http\Api\Field;
use App\Http\Api\Input;
use Illuminate\Http\Request;
use Illuminate\Support\Str;
use Illuminate\Validation\Validator;
use Ustrel\Core\Work\Lubricant;
use Ustrel\Core\Work\Lubrication;
use Ustrel\Core\Work\LubricationRounds;

/** What the shop says of a point that is lubricated. */
final readonly class LubricationEdit extends Input
{
    public function __construct(
        #[Field('lube_refused.per', 'in:row,planter')] public string $per,
        /** On each row, or on the planter */
        #[Field('lube_refused.minutes', 'between:0.1,60', 'decimal:0,1')] public float $minutes,
        #[Field('lube_refused.product')] public Lubricant $product,
        #[Field('lube_refused.rounds')] public LubricationRounds $rounds,
        /** That was changed; 0 of one that the shop has not changed yet */
        #[Field('lube_refused.revision', 'min:0')] public int $revision,
        /** Of one of the shop’s own alone */
        #[Field('lube_refused.name', 'max:80')] public ?string $name = null,
        /** Of each row, after which it is due again within the season */
        #[Field('lube_refused.acres', 'between:1,10000', 'decimal:0,1')] public ?float $acres = null,
        /** Of planting, the same */
        #[Field('lube_refused.hours', 'between:1,10000')] public ?int $hours = null,
        /** It is not lubricated here */
        #[Field('lube_refused.off')] public bool $off = false,
    ) {
    }

    public function columns(): array
    {
        return ['name' => $this->name ?? '', 'is_off' => $this->off] + array_diff_key(parent::columns(), ['off' => 1]);
    }

    protected static function check(Input $input, Validator $checked, Request $request): void
    {
        $isOwn = ! in_array($request->route('point'), array_column(Lubrication::points(), 'point'), true);
        abort_if($isOwn && ! Str::isUuid($request->route('point')), 404);
        if ($isOwn === ($input->name === null)) {
            $checked->errors()->add('name', __('lube_refused.name'));
        }
    }
}

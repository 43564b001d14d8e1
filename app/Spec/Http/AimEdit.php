<?php

declare(strict_types=1);

namespace App\Spec\Http;

use App\Http\Api\Field;
use App\Http\Api\Input;
use Illuminate\Http\Request;
use Illuminate\Validation\Validator;

/** What the shop calls good; what is left out or null is as typical. */
final readonly class AimEdit extends Input
{
    public function __construct(
        /** Empty for all crops */
        #[Field('aims.crop', 'max:80')] public string $crop = '',
        /** Of its seed; empty for all */
        #[Field('aims.size', 'max:40')] public string $size = '',
        /** Share of places with one seed */
        #[Field('aims.singulation', 'between:0.5,1', 'decimal:0,3')] public ?float $singulation = null,
        /** By how much seeds may lie closer together than set: a share under 0 */
        #[Field('aims.rate_low', 'between:-0.3,-0.005', 'decimal:0,3')] public ?float $rate_low = null,
        /** By how much farther apart: a share over 0 */
        #[Field('aims.rate_high', 'between:0.005,0.3', 'decimal:0,3')] public ?float $rate_high = null,
        /** Wanted, millimeters */
        #[Field('aims.depth', 'between:3,160', 'decimal:0,2')] public ?float $depth = null,
        /** How far a row may be from it, millimeters */
        #[Field('aims.depth_band', 'between:0.5,50', 'decimal:0,2')] public ?float $depth_band = null,
        /** From 10 to 90% up */
        #[Field('aims.emergence_hours', 'between:1,500')] public ?int $emergence_hours = null,
        /** Scatter of single spacings that is still good, as a share of what is set */
        #[Field('aims.spacing_cv', 'between:0.05,1', 'decimal:0,3')] public ?float $spacing_cv = null,
        /** That was changed; 0 of a new one */
        public int $revision = 0,
    ) {
    }

    public function columns(): array
    {
        return ['crop' => mb_strtolower($this->crop), 'size' => mb_strtolower($this->size)] + parent::columns();
    }

    protected static function check(Input $input, Validator $checked, Request $request): void
    {
        if ($input->crop === '' && $input->size !== '') {
            $checked->errors()->add('size', __('aims.size'));
        }
    }
}

<?php

declare(strict_types=1);

use App\Models\People\Activity;

return ['activity_model' => Activity::class];

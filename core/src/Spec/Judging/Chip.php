<?php

declare(strict_types=1);

namespace Ustrel\Core\Spec\Judging;

/** A reason to tick beside a condition. Worded under `chip.<value>` in lang/en. */
enum Chip: string
{
    case Bent = 'bent';
    case BoltsLoose = 'bolts_loose';
    case Brittle = 'brittle';
    case BristlesBent = 'bristles_bent';
    case Broken = 'broken';
    case Chafed = 'chafed';
    case Chipped = 'chipped';
    case ChunkMissing = 'chunk_missing';
    case Cracked = 'cracked';
    case CurledLip = 'curled_lip';
    case Dead = 'dead';
    case Dirty = 'dirty';
    case DogEar = 'dog_ear';
    case Dull = 'dull';
    case EdgeGone = 'edge_gone';
    case HoleRubbed = 'hole_rubbed';
    case HolesPlugged = 'holes_plugged';
    case Kinked = 'kinked';
    case Leaking = 'leaking';
    case LidMissing = 'lid_missing';
    case LinksMissing = 'links_missing';
    case LipGone = 'lip_gone';
    case Loose = 'loose';
    case Missing = 'missing';
    case OffLeft = 'off_left';
    case OffRight = 'off_right';
    case PaddlesMissing = 'paddles_missing';
    case Play = 'play';
    case Plugged = 'plugged';
    case Residue = 'residue';
    case Rough = 'rough';
    case Seized = 'seized';
    case Split = 'split';
    case SpringBroken = 'spring_broken';
    case Stiff = 'stiff';
    case StrawHangs = 'straw_hangs';
    case StrawWrapped = 'straw_wrapped';
    case Stuck = 'stuck';
    case TeethBent = 'teeth_bent';
    case TeethHooked = 'teeth_hooked';
    case TeethMissing = 'teeth_missing';
    case TeethWorn = 'teeth_worn';
    case Thin = 'thin';
    case TooLoose = 'too_loose';
    case TooTight = 'too_tight';
    case Torn = 'torn';
    case Warped = 'warped';
    case Worn = 'worn';
}

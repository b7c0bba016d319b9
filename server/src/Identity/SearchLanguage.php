<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Identity;

/** Languages whose stems PostgreSQL knows; each by the name of its text search configuration. */
enum SearchLanguage: string
{
    case Danish = 'danish';
    case Dutch = 'dutch';
    case English = 'english';
    case Finnish = 'finnish';
    case French = 'french';
    case German = 'german';
    case Hungarian = 'hungarian';
    case Italian = 'italian';
    case Norwegian = 'norwegian';
    case Portuguese = 'portuguese';
    case Romanian = 'romanian';
    case Russian = 'russian';
    case Spanish = 'spanish';
    case Swedish = 'swedish';
    case Turkish = 'turkish';
    /** Words as they are written. */
    case Simple = 'simple';
}

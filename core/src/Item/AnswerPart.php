<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Item;

/** One part of an answer, as confusions count it: what stands there, and what should. */
final readonly class AnswerPart
{
    /**
     * @param string $name  which part, in words: a thing, `gap 2`, `row 1, column 3`; '' where the answer has no parts
     * @param string $given what stands there, in words
     * @param string $key   what should, in words
     * @param string $like  the same for answers that say the same
     */
    public function __construct(
        public string $name,
        public string $given,
        public string $key,
        public bool $right,
        public string $like,
    ) {
    }

    /** What a field's rule makes of what was typed into it; null where nothing was. */
    public static function ofField(string $name, FieldRule $rule, string $text): ?self
    {
        $response = $rule->fromField($text);

        return $response->isBlank() ? null : self::whole($rule, $response, $name);
    }

    /**
     * @param list<self> $parts of an answer
     *
     * @return string the same for answers whose parts all say the same
     */
    public static function together(array $parts): string
    {
        return implode("\n", array_map(static fn (self $p): string => "$p->name: $p->like", $parts));
    }

    public static function whole(Rule $rule, Response $response, string $name = ''): self
    {
        $outcome = $rule->check($response);

        return new self(
            $name,
            $rule->inWords($response),
            PlainText::of($rule->key()),
            $outcome->verdict === Verdict::Right,
            $outcome->readAs === '' ? $rule->inWords($response) : $outcome->readAs,
        );
    }
}

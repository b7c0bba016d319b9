<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Document;

use Brick\Math\BigRational;
use Brick\Math\Exception\MathException;

/**
 * A typed view of one place in decoded, untrusted JSON.
 *
 * Readers ask for what they need; a wrong type, an excess or an absence is noted as a problem with its path and a
 * harmless value is returned, so that one pass finds everything that is wrong. Call {@see finish()} at the end.
 */
final class Node
{
    /** @var \ArrayObject<int, Problem> */
    private readonly \ArrayObject $problems;

    /** @var array<array-key, true> */
    private array $known = [];

    /** @param \ArrayObject<int, Problem>|null $problems shared by all nodes of one document */
    public function __construct(private readonly mixed $value, public readonly string $path = '', ?\ArrayObject $problems = null)
    {
        /** @var \ArrayObject<int, Problem> $fresh */
        $fresh = new \ArrayObject();
        $this->problems = $problems ?? $fresh;
    }

    /** Bounded text, trimmed of nothing: what was typed is kept. */
    public function text(string $key, int $longest, ?string $default = null): string
    {
        $value = $this->get($key, $default);
        if (!is_string($value)) {
            $this->fault($key, $value === null ? 'This is required.' : 'This must be text.');

            return '';
        }
        if (!mb_check_encoding($value, 'UTF-8')) {
            $this->fault($key, 'This text is not valid UTF-8.');

            return '';
        }
        if (mb_strlen($value) > $longest) {
            $this->fault($key, sprintf('This is %d characters long; at most %d are kept.', mb_strlen($value), $longest));
        }

        return $value;
    }

    /** Text or null; absent counts as null. */
    public function textOrNull(string $key, int $longest): ?string
    {
        return $this->get($key, null) === null ? null : $this->text($key, $longest);
    }

    public function bool(string $key, bool $default): bool
    {
        $value = $this->get($key, $default);
        if (!is_bool($value)) {
            $this->fault($key, 'This must be true or false.');

            return $default;
        }

        return $value;
    }

    public function int(string $key, int $least, int $most, ?int $default = null): int
    {
        $value = $this->get($key, $default);
        if (!is_int($value) || $value < $least || $value > $most) {
            $this->fault($key, sprintf('This must be a whole number from %d to %d.', $least, $most));

            return $least;
        }

        return $value;
    }

    public function intOrNull(string $key, int $least, int $most): ?int
    {
        return $this->has($key) ? $this->int($key, $least, $most) : null;
    }

    /**
     * @param non-empty-list<string> $allowed
     */
    public function oneOf(string $key, array $allowed, ?string $default = null): string
    {
        $value = $this->get($key, $default);
        if (!is_string($value) || !in_array($value, $allowed, true)) {
            $this->fault($key, 'This must be one of: '.implode(', ', $allowed).'.');

            return $allowed[0];
        }

        return $value;
    }

    /** An exact number written as text ("1/3", "0.25") or a JSON number, within bounds given as such text. */
    public function rational(string $key, string $least, string $most, ?string $default = null): BigRational
    {
        $value = $this->get($key, $default);
        if (is_int($value) || is_float($value)) {
            $value = (string) $value;
        }
        if (!is_string($value) || preg_match('#^-?\d{1,12}(?:\.\d{1,12}|/\d{1,12})?$#D', $value) !== 1) {
            $this->fault($key, 'This must be a number such as 2, 0.5 or 1/3.');

            return BigRational::of($least);
        }
        try {
            $number = BigRational::of($value)->simplified();
        } catch (MathException) {
            $this->fault($key, 'A fraction cannot have 0 below the line.');

            return BigRational::of($least);
        }
        if ($number->isLessThan($least) || $number->isGreaterThan($most)) {
            $this->fault($key, sprintf('This must lie between %s and %s.', $least, $most));

            return BigRational::of($least);
        }

        return $number;
    }

    public function has(string $key): bool
    {
        $this->known[$key] = true;

        return is_array($this->value) && array_key_exists($key, $this->value) && $this->value[$key] !== null;
    }

    /** The same where the part may be left out: then it is empty. */
    public function childOrEmpty(string $key): self
    {
        return $this->has($key) ? $this->child($key) : new self([], $key);
    }

    public function child(string $key): self
    {
        $value = $this->get($key, null);
        if (!is_array($value)) {
            $this->fault($key, 'This part is missing or is not an object.');
            $value = [];
        }

        return new self($value, $this->at($key), $this->problems);
    }

    /** @return list<self> one node for each element */
    public function children(string $key, int $most): array
    {
        $value = $this->get($key, []);
        if (!is_array($value) || !array_is_list($value)) {
            $this->fault($key, 'This must be a list.');

            return [];
        }
        if (count($value) > $most) {
            $this->fault($key, sprintf('There are %d here; at most %d are allowed.', count($value), $most));
            $value = array_slice($value, 0, $most);
        }
        $nodes = [];
        foreach ($value as $i => $element) {
            if (!is_array($element)) {
                $this->fault($key.'.'.$i, 'This must be an object.');
                $element = [];
            }
            $nodes[] = new self($element, $this->at($key.'.'.$i), $this->problems);
        }

        return $nodes;
    }

    /** @return list<string> */
    public function texts(string $key, int $most, int $longest): array
    {
        $value = $this->get($key, []);
        if (!is_array($value) || !array_is_list($value) || count($value) > $most) {
            $this->fault($key, sprintf('This must be a list of at most %d texts.', $most));

            return [];
        }
        $texts = [];
        foreach ($value as $i => $element) {
            if (!is_string($element) || mb_strlen($element) > $longest) {
                $this->fault($key.'.'.$i, sprintf('This must be text of at most %d characters.', $longest));

                continue;
            }
            $texts[] = $element;
        }

        return $texts;
    }

    /**
     * An object of texts, by key.
     *
     * @return array<string, string>
     */
    public function textMap(string $key, int $most, int $longest): array
    {
        $value = $this->get($key, []);
        if (!is_array($value) || ($value !== [] && array_is_list($value)) || count($value) > $most) {
            $this->fault($key, sprintf('This must be an object of at most %d texts.', $most));

            return [];
        }
        $texts = [];
        foreach ($value as $name => $element) {
            if (!is_string($element)
                || !mb_check_encoding($element, 'UTF-8')
                || mb_strlen($element) > $longest
                || mb_strlen((string) $name) > 40) {
                $this->fault($key.'.'.$name, sprintf('This must be text of at most %d characters.', $longest));

                continue;
            }
            $texts[(string) $name] = $element;
        }

        return $texts;
    }

    /** @return list<string> the keys of this object */
    public function keys(int $most): array
    {
        $keys = array_map(strval(...), array_keys(is_array($this->value) ? $this->value : []));
        if (count($keys) > $most) {
            $this->fault('', sprintf('There are %d here; at most %d are allowed.', count($keys), $most));
        }

        return array_slice($keys, 0, $most);
    }

    /** @return list<string> this place itself, read as a list of texts */
    public function ownTexts(int $most, int $longest): array
    {
        return (new self(['own' => $this->value], $this->path, $this->problems))->texts('own', $most, $longest);
    }

    public function fault(string $key, string $message): void
    {
        $this->problems->append(new Problem($this->at($key), $message));
    }

    /** Notes a problem for every key that no reader asked for: a document says nothing that we do not understand. */
    public function rejectUnknown(): void
    {
        foreach (array_keys(is_array($this->value) ? $this->value : []) as $key) {
            if (!isset($this->known[$key])) {
                $this->fault((string) $key, 'This is not known here.');
            }
        }
    }

    /** @throws DocumentInvalid when anything was noted */
    public function finish(): void
    {
        if (count($this->problems) > 0) {
            throw new DocumentInvalid(array_values($this->problems->getArrayCopy()));
        }
    }

    private function get(string $key, mixed $default): mixed
    {
        $this->known[$key] = true;

        return is_array($this->value) ? ($this->value[$key] ?? $default) : $default;
    }

    private function at(string $key): string
    {
        return $this->path === '' ? $key : $this->path.'.'.$key;
    }
}

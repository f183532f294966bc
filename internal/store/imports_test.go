package store

import (
	"io"
	"testing"
	"time"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// An import adds what was not read yet, and goes as it came: what was read besides stays.
func TestAnImportGoesAsItCame(t *testing.T) {
	t.Parallel()
	s, _ := newStore(t)
	require.NoError(t, s.KeepTemperatures([]Temperature{{At: 60, TempC: 4}, {At: 180, TempC: 5}}))
	before := backedUp(t, s)
	file := func(last int64, failing error) func(take func(Temperature) error) error {
		return func(take func(Temperature) error) error {
			for n := range last {
				if err := take(Temperature{At: n * 60, TempC: 9}); err != nil {
					return err
				}
			}
			return failing
		}
	}
	in, err := s.ImportTemperatures("a.csv", file(2*importedAtOnce+7, nil))
	require.NoError(t, err)
	assert.Equal(t, 2*importedAtOnce+5, in.Readings)
	assert.True(t, in.Whole)
	has, err := s.HasRead([]int64{-60, 0, 60, 90, 120})
	require.NoError(t, err)
	assert.Equal(t, 3, has)
	at := func(second int64) float64 {
		all, err := s.Temperatures(time.Unix(second, 0))
		require.NoError(t, err)
		return all[0].TempC
	}
	assert.Equal(t, []float64{4, 9, 5}, []float64{at(60), at(120), at(180)}, "what was read already stays")
	again, err := s.ImportTemperatures("again.csv", file(10, nil))
	require.NoError(t, err)
	assert.Zero(t, again.Readings)
	require.NoError(t, s.RemoveImport(again.ID))
	require.NoError(t, s.RemoveImport(in.ID))
	require.ErrorIs(t, s.RemoveImport(in.ID), ErrNotFound)
	assert.Equal(t, before, backedUp(t, s))
	_, err = s.ImportTemperatures("broken.csv", file(importedAtOnce+1, io.ErrUnexpectedEOF))
	require.ErrorIs(t, err, io.ErrUnexpectedEOF)
	assert.Equal(t, before, backedUp(t, s), "what stopped halfway leaves nothing")
}

// BenchmarkImport is a hundred thousand readings, taken in and taken back.
func BenchmarkImport(b *testing.B) {
	s, _ := newStore(b)
	for b.Loop() {
		in, err := s.ImportTemperatures("a.csv", func(take func(Temperature) error) error {
			for n := range int64(100_000) {
				if err := take(Temperature{At: n * 60, TempC: 4}); err != nil {
					return err
				}
			}
			return nil
		})
		require.NoError(b, err)
		require.Equal(b, 100_000, in.Readings)
		require.NoError(b, s.RemoveImport(in.ID))
	}
}

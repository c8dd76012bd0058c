rename table reckoning to recalculation;

// Stands in for the types of a platform that core has not: packages that ask for them get nothing, and core’s own code must do
// without timers, process and files.
